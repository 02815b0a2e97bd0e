import type { FittedLength } from '#core/fit';
import type { Plan, Step } from '#core/plan';
import type { Ms } from '#core/numbers';
import { clockOfSeconds } from '#core/time';

/**
 * One length of a step as the fitting shows it: what it was and is, given in its own measure, and how much it gains.
 */
export interface FitRow {
  key: string;
  step: Step;
  index: number;
  /** `each side`, `left`, `set 2`; empty if there is one. */
  which: string;
  from: string;
  to: string;
  gainMs: Ms;
  /** Whether it could be another: not locked. */
  free: boolean;
}

const rounds = (count: number): string => `${count} ${count === 1 ? 'round' : 'rounds'}`;

function whichOf({ what, times }: FittedLength, step: Step): string {
  if (what.kind === 'breath')
    return step.kind === 'breath' && step.practice.sets.length > 1 ? `set ${what.set + 1}` : '';
  if (what.kind === 'hold' && what.side !== 'even') return what.side;
  return times === 2 ? 'each side' : '';
}

function lockedRows(step: Step, index: number): FitRow[] {
  const row = (which: string, text: string): FitRow => ({
    key: `${step.id} ${which}`,
    step,
    index,
    which,
    from: text,
    to: text,
    gainMs: 0,
    free: false,
  });
  if (step.kind === 'rest') return [row('', clockOfSeconds(step.seconds))];
  if (step.kind === 'breath') {
    const { sets } = step.practice;
    return sets.map((set, i) => row(sets.length > 1 ? `set ${i + 1}` : '', rounds(set.rounds)));
  }
  if (step.kind !== 'hold') return [];
  if ('seconds' in step.sides) return [row('', clockOfSeconds(step.sides.seconds))];
  const { length } = step.sides;
  if (length.kind === 'even') return [row('each side', clockOfSeconds(length.seconds))];
  return (['left', 'right'] as const).map((side) => row(side, clockOfSeconds(length[side])));
}

/** A row for each length that is or could be fitted, in the order of the steps; locked ones are shown unchanged. */
export function fitRows({ steps }: Plan, lengths: readonly FittedLength[]): FitRow[] {
  return steps.flatMap((step, index) => {
    const own = lengths.filter(({ stepId }) => stepId === step.id);
    if (own.length === 0) return lockedRows(step, index);
    return own.map((length): FitRow => {
      const text = (value: number): string => (length.what.kind === 'breath' ? rounds(value) : clockOfSeconds(value));
      const which = whichOf(length, step);
      return {
        key: `${step.id} ${which}`,
        step,
        index,
        which,
        from: text(length.from),
        to: text(length.to),
        gainMs: length.toMs - length.fromMs,
        free: true,
      };
    });
  });
}
