import type { SidesKind } from '#core/catalogue';
import type { Seconds } from '#core/numbers';
import type { PlanEdit } from './edit';
import { changeStep } from './step-edits';
import type { FirstSide, HoldSides, HoldStep, SideLength } from './step';

export type Side = 'left' | 'right';

/** The lengths of a hold in seconds: one for both sides together, or one each side. */
export function sideSeconds(sides: HoldSides): { left: Seconds; right: Seconds } {
  if (sides.kind === 'together') return { left: sides.seconds, right: sides.seconds };
  if (sides.kind === 'one') {
    return sides.side === 'left' ? { left: sides.seconds, right: 0 } : { left: 0, right: sides.seconds };
  }
  const { length } = sides;
  return length.kind === 'even'
    ? { left: length.seconds, right: length.seconds }
    : { left: length.left, right: length.right };
}

const isTwoSided = (sides: HoldSides): sides is Extract<HoldSides, { kind: 'each' | 'crossing' }> =>
  sides.kind === 'each' || sides.kind === 'crossing';

function withLength(length: SideLength, side: Side | 'even', seconds: Seconds): SideLength {
  if (length.kind === 'even') return { kind: 'even', seconds };
  return side === 'even' ? { kind: 'even', seconds } : { ...length, [side]: seconds };
}

/**
 * Sets the length of a hold in seconds. An even hold stays even, whichever side's number was typed; `even` makes an
 * uneven one even.
 */
export function setHoldSeconds(id: string, side: Side | 'even', seconds: Seconds): PlanEdit {
  return changeStep(id, 'hold', `set hold, ${side}`, (step) => ({
    ...step,
    sides: isTwoSided(step.sides)
      ? { ...step.sides, length: withLength(step.sides.length, side, seconds) }
      : { ...step.sides, seconds },
  }));
}

/** The same hold with each of its lengths changed, to whole milliseconds. */
function mapSides(sides: HoldSides, change: (seconds: Seconds) => Seconds): HoldSides {
  const to = (seconds: Seconds): Seconds => Math.round(change(seconds) * 1000) / 1000;
  if (!isTwoSided(sides)) return { ...sides, seconds: to(sides.seconds) };
  const { length } = sides;
  return {
    ...sides,
    length:
      length.kind === 'even'
        ? { ...length, seconds: to(length.seconds) }
        : { ...length, left: to(length.left), right: to(length.right) },
  };
}

/**
 * Tells a hold's lengths in breaths of so many seconds, or by the clock again (null). Where they were told in breaths,
 * the number of breaths stays and the lengths change; otherwise the lengths go to the nearest whole breath, at least one.
 */
export function setBreathSeconds(id: string, breathSeconds: Seconds | null): PlanEdit {
  return changeStep(id, 'hold', 'measure in breaths', (step) => {
    if (breathSeconds === null) return { ...step, breathSeconds };
    const before = step.breathSeconds ?? breathSeconds;
    const inBreaths = (seconds: Seconds): Seconds => Math.max(1, Math.round(seconds / before)) * breathSeconds;
    return { ...step, breathSeconds, sides: mapSides(step.sides, inBreaths) };
  });
}

/** Makes both sides the same, at the longer of the two, or frees them to differ, starting from what they have. */
export function setEven(id: string, even: boolean): PlanEdit {
  const change = (length: SideLength): SideLength => {
    if (even) return length.kind === 'even' ? length : { kind: 'even', seconds: Math.max(length.left, length.right) };
    return length.kind === 'perSide' ? length : { kind: 'perSide', left: length.seconds, right: length.seconds };
  };
  return changeStep(id, 'hold', even ? 'make sides even' : 'free the sides', (step) =>
    isTwoSided(step.sides) ? { ...step, sides: { ...step.sides, length: change(step.sides.length) } } : step,
  );
}

/** Which side goes first. No change for a hold that has not two sides. */
export function setFirstSide(id: string, first: FirstSide): PlanEdit {
  return changeStep(id, 'hold', 'set first side', (step) =>
    isTwoSided(step.sides) ? { ...step, sides: { ...step.sides, first } } : step,
  );
}

/** Which side a hold on one side only is on. No change for any other hold. */
export function setOnlySide(id: string, side: Side): PlanEdit {
  return changeStep(id, 'hold', 'set side', (step) =>
    step.sides.kind === 'one' ? { ...step, sides: { ...step.sides, side } } : step,
  );
}

/** Changes how a hold lies over the sides; the longer of its lengths is kept. */
export function setSidesKind(id: string, kind: SidesKind): PlanEdit {
  return changeStep(id, 'hold', 'set sides', (step) => {
    if (step.sides.kind === kind) return step;
    const { left, right } = sideSeconds(step.sides);
    const seconds = Math.max(left, right);
    if (kind === 'together') return { ...step, sides: { kind, seconds } };
    if (kind === 'one') return { ...step, sides: { kind, side: 'left', seconds } };
    const length: SideLength = isTwoSided(step.sides) ? step.sides.length : { kind: 'even', seconds };
    return { ...step, sides: { kind, first: isTwoSided(step.sides) ? step.sides.first : 'house', length } };
  });
}

type HoldFields = Pick<
  HoldStep,
  | 'range'
  | 'strength'
  | 'stages'
  | 'setUp'
  | 'setupSeconds'
  | 'enterSeconds'
  | 'leaveSeconds'
  | 'switchSeconds'
  | 'prompts'
  | 'breath'
  | 'rebound'
  | 'loosen'
>;

/** Changes the other fields of a hold: range, stages, set-up, prompts, rebound and so on. */
export function setHold(id: string, patch: Partial<HoldFields>): PlanEdit {
  return changeStep(id, 'hold', `change ${Object.keys(patch).join(', ')}`, (step) => ({ ...step, ...patch }));
}
