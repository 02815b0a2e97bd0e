import { comparisonInWords, deviations, type DeviationRow, type RunRecord } from '#core/review';
import type { Ms } from '#core/numbers';
import { clockOfMs, signedClockOfMs } from '#core/time';
import { paragraphs } from './paragraphs';

const PARTS = {
  left: 'left',
  right: 'right',
  both: 'both sides',
  none: '',
  changes: 'setting up and changing',
} as const;
const seconds = (ms: Ms): string => String(Math.round(ms) / 1000);

const partOf = ({ part, set }: DeviationRow): string => (set === null ? PARTS[part] : `set ${set + 1}`);
const stateOf = ({ skipped, reached }: DeviationRow): string => {
  if (!reached) return 'not reached';
  return skipped ? 'left out' : '';
};

/** In the order of the plan, each set of a breath after the breath itself. */
const inOrder = (record: RunRecord): DeviationRow[] =>
  deviations(record).toSorted((one, other) => one.stepIndex - other.stepIndex || (one.set ?? -1) - (other.set ?? -1));

/**
 * What was led against what was planned, as rows of a table, the first of them the headings. Lengths in seconds. Who was
 * there and what was noted is not in it.
 * @param nameOf the name of a step by its place in the plan
 */
export const sessionTable = (record: RunRecord, nameOf: (stepIndex: number) => string): string[][] => [
  ['step', 'name', 'part', 'planned seconds', 'seconds', 'longer than planned', 'state', 'intensity'],
  ...inOrder(record).map((row) => [
    String(row.stepIndex + 1),
    nameOf(row.stepIndex),
    partOf(row),
    seconds(row.plannedMs),
    seconds(row.doneMs),
    seconds(row.differenceMs),
    stateOf(row),
    row.strength === null ? '' : String(row.strength),
  ]),
];

/**
 * The same as plain text, with the sentence that says most about it.
 * @param title its plan and when it was, such as `Evening, 26 November`
 */
export function sessionText(record: RunRecord, title: string, nameOf: (stepIndex: number) => string): string {
  const line = (row: DeviationRow): string => {
    const what = [`${row.stepIndex + 1}. ${nameOf(row.stepIndex)}`, partOf(row)].filter(Boolean).join(', ');
    const state = stateOf(row);
    if (state !== '') return `${what}: ${state}`;
    const [done, planned] = [clockOfMs(row.doneMs), clockOfMs(row.plannedMs)];
    return `${what}: ${done}, planned ${planned} (${signedClockOfMs(row.differenceMs)})`;
  };
  const { doneMs, plannedMs } = record.total;
  return paragraphs(title, [
    { lines: [comparisonInWords(record, nameOf), `Total ${clockOfMs(doneMs)}, planned ${clockOfMs(plannedMs)}.`] },
    { heading: 'Step by step', lines: inOrder(record).map(line) },
  ]);
}
