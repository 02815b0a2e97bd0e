import { wordsOnSide, type Library } from '#core/catalogue';
import type { Side } from './sides';
import type { HoldStep } from './step';

/**
 * What a side of a hold is, in words: `right knee in front`; as the step says, else as the library does. Empty where
 * neither says, and for a hold without sides.
 */
export function sideMeaning(
  { leftMeans, position, sides }: Pick<HoldStep, 'leftMeans' | 'position' | 'sides'>,
  side: Side,
  library: Library,
): string {
  if (sides.kind === 'together') return '';
  const means = leftMeans ?? library.position(position)?.leftMeans ?? '';
  return means === '' ? '' : wordsOnSide(means, side);
}
