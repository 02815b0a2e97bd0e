import { wordsOnSide, type Library } from '#core/catalogue';
import type { Side } from './sides';
import { positionOfStage } from './stage-set-up';
import type { HoldStep } from './step';

/**
 * What a side of a hold is, in words: `right knee in front`; as the step says, else as the library does. Empty where
 * neither says, and for a hold without sides.
 * @param stage of a hold with stages, from 0
 */
export function sideMeaning(
  { leftMeans, position, sides, stages }: Pick<HoldStep, 'leftMeans' | 'position' | 'sides' | 'stages'>,
  side: Side,
  library: Library,
  stage = 0,
): string {
  if (sides.kind === 'together') return '';
  const means = leftMeans ?? library.position(positionOfStage({ stages, position }, stage))?.leftMeans ?? '';
  return means === '' ? '' : wordsOnSide(means, side);
}

/** A side of a hold by its name, with what it is where that is known: `left`, `right knee in front`, `left: heel up`. */
export function sideNamed(step: HoldStep, side: Side, library: Library, stage = 0): string {
  const means = sideMeaning(step, side, library, stage);
  if (means === '') return side;
  return means.includes(side) ? means : `${side}: ${means}`;
}
