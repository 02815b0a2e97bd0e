import { ORDINARY, settle, strainsOf, REFERENCE_HEIGHT_CM } from '#core/body';
import { placedProps } from '#core/props';
import { POSITIONS } from './entries';

/**
 * A row of the table: head below the heart and pelvis over it in cm, bend of the knee, fold of the hip, lift of the arm
 * in degrees.
 */
export type StrainRow = readonly [head: number, pelvis: number, knee: number, hip: number, arm: number];

/** Measures every set-up of every position on the standard body: what `measured.ts` holds. Takes some seconds. */
export function measureLibrary(): Record<string, StrainRow> {
  return Object.fromEntries(
    POSITIONS.flatMap(({ id, figure, setUps }) =>
      setUps.map((setUp) => {
        const of = strainsOf(settle(figure, placedProps(setUp.items, 'left'), REFERENCE_HEIGHT_CM, ORDINARY));
        const row: StrainRow = [
          of.headBelowHeartCm,
          of.pelvisOverHeartCm,
          of.kneeBendDegrees,
          of.hipFoldDegrees,
          of.armLiftDegrees,
        ];
        return [`${id}/${setUp.id}`, row] as const;
      }),
    ),
  );
}
