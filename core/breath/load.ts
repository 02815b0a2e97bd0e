import { z } from 'zod';
import { clockOfMs } from '#core/time';
import { breathCost, type BreathCost } from './cost';
import type { BreathPractice } from './practice';

/** Limits of the settings on what a practice asks. Seconds, a share from 0 to 1, breaths and strokes a minute. */
export const BreathLoadRules = z.strictObject({
  longestHoldSeconds: z
    .number('A hold is a number of seconds.')
    .min(0, 'At least 0 s: no breath is held.')
    .max(180, 'A hold of at most 180 s.'),
  shareHolding: z.number('A share is a number.').min(0, 'At least 0 %.').max(1, 'At most 100 %.'),
  slowestRate: z
    .number('Breaths a minute are a number.')
    .min(0.3, 'At least 0.3 breaths a minute.')
    .max(20, 'At most 20 breaths a minute.'),
  strokesMinutes: z.number('Minutes are a number.').min(0.5, 'At least half a minute.').max(30, 'At most 30 minutes.'),
  fastestStrokes: z
    .number('Pumps a minute are a number.')
    .min(10, 'At least 10 pumps a minute.')
    .max(180, 'At most 180 pumps a minute.'),
});
export type BreathLoadRules = z.infer<typeof BreathLoadRules>;

/** What a mixed class that has not been asked about its health is usually spared. */
export const LOAD_RULES: BreathLoadRules = {
  longestHoldSeconds: 20,
  shareHolding: 0.5,
  slowestRate: 2.5,
  strokesMinutes: 3,
  fastestStrokes: 90,
};

/** What a practice asks more of than the settings allow, in words a colleague would use. */
export interface LoadFlag {
  kind:
    | 'retention'
    | 'longHold'
    | 'muchHolding'
    | 'verySlow'
    | 'emptyLongerThanFull'
    | 'manyStrokes'
    | 'fastStrokes'
    | 'strokesAfterHold'
    | 'holdAfterStrokes'
    | 'holdStanding'
    | 'emptyInARow';
  message: string;
}

const twoDecimals = (value: number): number => Math.round(value * 100) / 100;

/** Whether an empty hold is longer than the full one of the same breath, in any round. */
function hasLongEmptyHold({ sets }: BreathPractice): boolean {
  return sets.some(({ parts, ramp }) =>
    parts.some((part) => {
      if (part.kind !== 'cycle') return false;
      const empty = ramp?.of === 'holdEmpty' ? Math.max(ramp.to, part.holdEmpty) : part.holdEmpty;
      const full = ramp?.of === 'holdFull' ? Math.min(ramp.to, part.holdFull) : part.holdFull;
      return empty > full;
    }),
  );
}

/** Whether strokes come after a hold of more than so many seconds, in one round or from one round to the next. */
function hasStrokesAfterHold({ sets, countSeconds }: BreathPractice, seconds: number): boolean {
  let held = false;
  for (const { parts, rounds, ramp } of sets) {
    for (const part of rounds > 1 ? [...parts, ...parts] : parts) {
      if (part.kind === 'retention') held ||= part.seconds > seconds;
      else if (part.kind === 'cycle') {
        const grown = ramp?.of === 'holdFull' || ramp?.of === 'holdEmpty' ? ramp.to : 0;
        held ||= Math.max(part.holdFull, part.holdEmpty, grown) * countSeconds > seconds;
      } else if (part.kind === 'strokes' && held) return true;
    }
  }
  return false;
}

/** A hold this long straight after pumps is a long one: the urge to breathe comes late then. Seconds. */
const LONG_AFTER_STROKES_SECONDS = 10;

/** Whether a hold comes straight after pumps, with no breath between, in one round or from one round to the next. */
function hasHoldAfterStrokes({ sets, countSeconds }: BreathPractice): boolean {
  let pumped = false;
  for (const { parts, rounds } of sets) {
    for (const part of rounds > 1 ? [...parts, ...parts] : parts) {
      if (part.kind === 'strokes') pumped = true;
      else if (part.kind === 'retention') {
        if (pumped && part.seconds >= LONG_AFTER_STROKES_SECONDS) return true;
      } else {
        if (part.kind === 'cycle' && pumped && part.holdFull * countSeconds >= LONG_AFTER_STROKES_SECONDS) return true;
        pumped = false;
      }
    }
  }
  return false;
}

const MAX_EMPTY_IN_A_ROW = 5;
/** The most breaths in a row that end with an empty hold, with no free breath or recovery between. */
function emptyInARow({ sets }: BreathPractice): number {
  let [inARow, most] = [0, 0];
  for (const { parts, rounds, ramp } of sets) {
    for (let round = 0; round < rounds; round++) {
      for (const part of parts) {
        const isEmpty =
          (part.kind === 'cycle' && (part.holdEmpty > 0 || (ramp?.of === 'holdEmpty' && ramp.to > 0))) ||
          (part.kind === 'retention' && part.held === 'empty');
        inARow = isEmpty ? inARow + 1 : 0;
        most = Math.max(most, inARow);
      }
    }
  }
  return most;
}

/** What else counts beside the practice itself. */
interface About {
  /** Whether the group's health is known. */
  checked: boolean;
  /** Whether it is practised standing. */
  standing: boolean;
}
type Check = (cost: BreathCost, practice: BreathPractice, rules: BreathLoadRules, about: About) => string | false;

const CHECKS: Record<LoadFlag['kind'], Check> = {
  retention: ({ retentionMs }, _, __, { checked }) =>
    retentionMs > 0 &&
    !checked &&
    'Breath is held here, and nobody has been screened for pregnancy, blood pressure, heart or eye problems.',
  longHold: ({ longestRetentionMs }, _, { longestHoldSeconds }) =>
    longestRetentionMs > longestHoldSeconds * 1000 &&
    (longestHoldSeconds === 0
      ? `The breath is held for ${clockOfMs(longestRetentionMs)}; your settings allow no holding.`
      : `The longest hold is ${clockOfMs(longestRetentionMs)}; your limit is ${clockOfMs(longestHoldSeconds * 1000)}.`),
  muchHolding: ({ retentionShare }, _, { shareHolding }) =>
    retentionShare > shareHolding &&
    `${Math.round(retentionShare * 100)} % of the time is holding; your limit is ${Math.round(shareHolding * 100)} %.`,
  verySlow: ({ slowestRate }, _, rules) =>
    slowestRate !== null &&
    slowestRate < rules.slowestRate &&
    `The slowest breathing is ${twoDecimals(slowestRate)} breaths a minute; your limit is ${rules.slowestRate}.`,
  emptyLongerThanFull: (_, practice) => hasLongEmptyHold(practice) && 'An empty hold is longer than the full one.',
  manyStrokes: ({ strokesMs }, _, { strokesMinutes }) =>
    strokesMs > strokesMinutes * 60_000 &&
    `Pumps take ${clockOfMs(strokesMs)} in total; your limit is ${clockOfMs(strokesMinutes * 60_000)}.`,
  fastStrokes: (cost, _, { fastestStrokes }) =>
    cost.fastestStrokes > fastestStrokes &&
    `Pumps go at ${cost.fastestStrokes} a minute; your limit is ${fastestStrokes}.`,
  strokesAfterHold: (_, practice, { longestHoldSeconds }) =>
    hasStrokesAfterHold(practice, longestHoldSeconds) &&
    'Pumps come after a long retention: let the breath settle first, or put the pumps before it.',
  holdAfterStrokes: (_, practice) =>
    hasHoldAfterStrokes(practice) &&
    'A long hold comes straight after pumps: the urge to breathe comes late then. Put some free breaths in between.',
  holdStanding: ({ retentionMs }, _, __, { standing }) =>
    standing && retentionMs > 0 && 'The breath is held while standing; someone who faints would fall. Sit down for it.',
  emptyInARow: (_, practice) => {
    const inARow = emptyInARow(practice);
    return (
      inARow > MAX_EMPTY_IN_A_ROW &&
      `The empty hold comes ${inARow} times in a row. Add free breaths after every ${MAX_EMPTY_IN_A_ROW}.`
    );
  },
};

/**
 * What is worth checking before a practice is taught: holds that are long or much of the time, a very slow breath,
 * an empty hold longer than the full one, many or fast strokes, strokes after a long hold, and any retention in a group
 * whose health is not known (`checked` false); a hold straight after pumps or while standing, and many empty ones in a row.
 */
export function loadFlags(
  practice: BreathPractice,
  checked: boolean,
  rules: BreathLoadRules = LOAD_RULES,
  standing = false,
): LoadFlag[] {
  const cost = breathCost(practice);
  return (Object.keys(CHECKS) as LoadFlag['kind'][]).flatMap((kind) => {
    const message = CHECKS[kind](cost, practice, rules, { checked, standing });
    return message === false ? [] : [{ kind, message }];
  });
}
