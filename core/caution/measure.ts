import { ORDINARY, REFERENCE_HEIGHT_CM, settle, strainsOf, type Strains } from '#core/body';
import { placedProps } from '#core/props';
import type { ToMeasure } from './knowledge';

/**
 * Measures a position in a set-up on a body: the figure is brought to rest on the props, which takes some ten
 * milliseconds. Written for the left side; of two sides the one that is further from rest counts.
 */
export const measureSetUp = ({ position, setUp, body }: Omit<ToMeasure, 'key'>): Strains =>
  strainsOf(
    settle(
      position.figure,
      placedProps(setUp, 'left'),
      body?.statureCm ?? REFERENCE_HEIGHT_CM,
      body?.flexibility ?? ORDINARY,
    ),
  );
