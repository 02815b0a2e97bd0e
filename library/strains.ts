import { ORDINARY, settle, STRAIN_NAMES, strainsOf, REFERENCE_HEIGHT_CM } from '#core/body';
import { placedProps } from '#core/props';
import { POSITIONS } from './entries';

/** A row of the table: the strains in the order of `STRAIN_NAMES`. */
export type StrainRow = readonly number[];

/** Measures every set-up of every position on the standard body: what `measured.ts` holds. Takes some seconds. */
export function measureLibrary(): Record<string, StrainRow> {
  return Object.fromEntries(
    POSITIONS.flatMap(({ id, figure, setUps }) =>
      setUps.map((setUp) => {
        const of = strainsOf(settle(figure, placedProps(setUp.items, 'left'), REFERENCE_HEIGHT_CM, ORDINARY));
        return [`${id}/${setUp.id}`, STRAIN_NAMES.map((name) => of[name])] as const;
      }),
    ),
  );
}
