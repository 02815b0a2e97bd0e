import Papa from 'papaparse';
import type { Library } from '#core/catalogue';
import { sideNamed, type Plan } from '#core/plan';
import { setUpRowInWords } from '#core/props';
import { clockOfMs } from '#core/time';
import { sameGroup, type Phase, type Timeline } from '#core/timeline';

const PHASE_WORDS: Partial<Record<Phase['kind'], string>> = {
  setup: 'set-up',
  enter: 'getting in',
  hold: 'hold',
  leave: 'coming out',
  switch: 'change of sides',
  rebound: 'rest after',
  loosen: 'release after',
  rest: 'rest',
  move: 'release',
  talk: 'talk',
};
const SIDE_WORDS = { left: 'left', right: 'right', both: 'both sides', none: '' } as const;

/** The heading of each column of the table of a plan. */
const COLUMNS = ['step', 'name', 'part', 'side', 'begins', 'seconds', 'props'] as const;

/**
 * A plan as rows of a table, the first of them the headings: one for each stretch of it; a side of a
 * hold, or of a breath practice, is one row. `begins` is a clock from the beginning of the class (`1:02:30`), `seconds` its length.
 */
export function planTable(plan: Plan, timeline: Timeline, library: Library): string[][] {
  const groups: Phase[][] = [];
  for (const phase of timeline.phases) {
    const first = groups.at(-1)?.[0];
    if (first && sameGroup(first, phase)) groups.at(-1)?.push(phase);
    else groups.push([phase]);
  }
  const rows = groups.flatMap(([first, ...more]) => {
    const step = first && plan.steps[first.stepIndex];
    if (!first || !step) return [];
    const { side, kind } = first;
    const isOneSide = side === 'left' || side === 'right';
    const endMs = more.at(-1)?.endMs ?? first.endMs;
    return [
      [
        String(first.stepIndex + 1),
        step.name,
        PHASE_WORDS[kind] ?? 'breath',
        step.kind === 'hold' && isOneSide ? sideNamed(step, side, library) : SIDE_WORDS[side],
        clockOfMs(first.startMs, { hours: 'always' }),
        String((endMs - first.startMs) / 1000),
        kind === 'hold' && 'setUp' in step && step.setUp ? step.setUp.map(setUpRowInWords).join('; ') : '',
      ],
    ];
  });
  return [[...COLUMNS], ...rows];
}

/**
 * Rows as a CSV file (RFC 4180): quoted where needed, lines that end in CR LF. A cell that a spreadsheet would take for a
 * formula gets an apostrophe before it.
 * @param withMark begins with a byte order mark, by which some spreadsheets know that it is UTF-8
 */
export const csv = (rows: readonly (readonly string[])[], withMark = false): string =>
  `${withMark ? '\uFEFF' : ''}${Papa.unparse(
    rows.map((row) => [...row]),
    { newline: '\r\n', escapeFormulae: true },
  )}\r\n`;
