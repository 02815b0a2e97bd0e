import type { Ms } from '#core/numbers';
import type { Practised } from '#core/review';

/** A session as it stands in a list: taught here, or written into the journal. */
interface ListedSession {
  startMs: Ms;
  title: string;
  kind: 'run' | 'entry';
  ms: Ms;
  /** How much longer than planned, or shorter; nothing is planned for a journal entry. */
  differenceMs: Ms | '';
}

const seconds = (ms: Ms): string => String(Math.round(ms) / 1000);
const optional = (value: number | null): string => (value === null ? '' : String(value));
const KINDS = { run: 'taught', entry: 'journal' } as const;
const SIDES = { left: 'left', right: 'right', both: 'both sides', none: '' } as const;

/**
 * Sessions as rows of a table, the first of them the headings. Lengths in seconds; what was written about a session is
 * not in it.
 * @param momentOf a moment on the clock of the place, `2026-11-26T18:30`
 */
export const sessionsTable = (sessions: readonly ListedSession[], momentOf: (ms: Ms) => string): string[][] => [
  ['began', 'session', 'kind', 'seconds', 'longer than planned'],
  ...sessions.map(({ startMs, title, kind, ms, differenceMs }) => [
    momentOf(startMs),
    title,
    KINDS[kind],
    seconds(ms),
    differenceMs === '' ? '' : seconds(differenceMs),
  ]),
];

/**
 * What was practised as rows of a table, the first of them the headings: one for each side of a hold and for each breath.
 * Lengths in seconds; nobody is named.
 * @param momentOf as in `sessionsTable`
 */
export const practisedTable = (practised: readonly Practised[], momentOf: (ms: Ms) => string): string[][] => [
  [
    'began',
    'session',
    'kind',
    'practised',
    'side',
    'planned seconds',
    'seconds',
    'intensity',
    'rounds',
    'breaths a minute',
  ],
  ...practised.flatMap(({ beganAtMs, title, kind, holds, breaths }) => {
    const session = [momentOf(beganAtMs), title, KINDS[kind]];
    return [
      ...holds.map(({ name, side, plannedMs, doneMs, strength }) => [
        ...session,
        name,
        SIDES[side],
        seconds(plannedMs),
        seconds(doneMs),
        optional(strength),
        '',
        '',
      ]),
      ...breaths.map(({ name, plannedMs, doneMs, rounds, breathsPerMinute }) => [
        ...session,
        name,
        '',
        seconds(plannedMs),
        seconds(doneMs),
        '',
        optional(rounds),
        breathsPerMinute === null ? '' : breathsPerMinute.toFixed(2),
      ]),
    ];
  }),
];
