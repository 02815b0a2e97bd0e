import { expect, test } from '@jest/globals';
import type { RunLogEntry } from '#core/review';
import type { RunEvent } from '#core/run';
import { planOf, talk, workedHold } from '../../../../tests/support/examples';
import { runLogInWords, adoptedInWords } from './words';

const plan = planOf({ ...workedHold, name: 'Reclined twist' }, { ...talk('end', 60), name: 'A word to end with' });
type Body<E> = E extends RunEvent ? Omit<E, 'id' | 'atMs'> : never;
const happened = (body: Body<RunEvent>, patch: Partial<RunLogEntry> = {}): string =>
  runLogInWords(
    {
      event: { id: 'event-some', atMs: 0, ...body } as RunEvent,
      stepIndex: 0,
      lengthMs: null,
      ...patch,
    } as RunLogEntry,
    plan,
  );

test.each<[Body<RunEvent>, string]>([
  [{ kind: 'paused' }, 'Paused in Reclined twist'],
  [{ kind: 'jumped', phase: 4 }, 'Moved on by hand from Reclined twist'],
  [{ kind: 'stretched', byMs: 30_000 }, '0:30 longer in Reclined twist'],
  [{ kind: 'stretched', byMs: -75_000 }, '1:15 shorter in Reclined twist'],
  [{ kind: 'rounds', by: 1 }, '1 round more in Reclined twist'],
  [{ kind: 'rounds', by: -3 }, '3 rounds less in Reclined twist'],
  [{ kind: 'cut' }, 'Ended by hand in Reclined twist'],
  [{ kind: 'matched' }, 'The second side was given what the first had in Reclined twist'],
  [{ kind: 'opened', open: true }, 'Held until you ended it in Reclined twist'],
  [{ kind: 'opened', open: false }, 'Back to its planned time in Reclined twist'],
  [{ kind: 'swapped', steps: [0, 1] }, 'Reclined twist and A word to end with swapped'],
  [{ kind: 'restAdded', ms: 60_000 }, 'A rest of 1:00 added after Reclined twist'],
  [{ kind: 'refitted', lengths: [[3, 60_000]] }, 'The rest refitted to finish on time'],
  [{ kind: 'missed', fromMs: 0 }, 'Screen asleep, not counted in Reclined twist'],
  [{ kind: 'clockSet', byMs: -3_600_000 }, 'The computer’s clock changed by −60:00'],
  [{ kind: 'started' }, ''],
  [{ kind: 'noted', text: 'cold' }, ''],
])('%j is told as “%s”', (body, words) => {
  expect(happened(body)).toBe(words);
});

test('a pause with its length, and outside of any step', () => {
  expect(happened({ kind: 'paused' }, { lengthMs: 95_000 })).toBe('Paused for 1:35 in Reclined twist');
  expect(happened({ kind: 'paused' }, { stepIndex: null, lengthMs: 5000 })).toBe('Paused for 0:05');
  expect(happened({ kind: 'jumped', phase: 0 }, { stepIndex: null })).toBe('Moved on by hand');
});

test('a time that would be taken into the plan', () => {
  const taken = { stepIndex: 0, from: 210, to: 205 };
  expect(
    (['each', 'both', 'left', 'length'] as const).map((what) => adoptedInWords({ ...taken, what } as never)),
  ).toEqual(['each side 3:30 → 3:25', 'held 3:30 → 3:25', 'left 3:30 → 3:25', 'held 3:30 → 3:25']);
});
