import { withOtherSetUp } from '#core/cupboard';
import { wordsOnSide, type Library } from '#core/catalogue';
import { newWhereInWords, positionOfStage, type HoldStep, type Plan, type Step } from '#core/plan';
import { movesInWords, pieceCount, piecesByKind, placedProps, setUpRowInWords, type SetUp } from '#core/props';
import { clockOfMs } from '#core/time';
import type { Timeline } from '#core/timeline';

/** A cell of the sheet by which a room is laid out: a step, or some that follow each other with the same props. */
export interface SheetCell {
  step: Step;
  /** `3`, or `3 and 4` where the props stay as they are. */
  number: string;
  setUp: SetUp;
  rows: string[];
  /** Totals for the group: `12 bolsters, 24 blankets`. */
  group: string;
  /** Prop changes during the hold: `after 2:00 block away`, `moves to the other side`. */
  changes: string[];
  /** `4 of 12 instead: cushion, …`; empty if all have the same. */
  other: string;
}

const isLaidOut = (step: Step): step is Extract<Step, { setUp: SetUp | null }> & { setUp: SetUp } =>
  'setUp' in step && step.setUp !== null && step.setUp.length > 0;

function groupOf(setUp: SetUp, people: number): string {
  return [...piecesByKind(placedProps(setUp, 'left'))]
    .map(([kind, count]) => pieceCount(kind, count * people))
    .join(', ');
}

/** How to get from the position of the stage before into that of a stage, in words; empty where it stays the same. */
function wayIntoStage(step: HoldStep, stage: number, library: Library): string {
  const position = positionOfStage(step, stage);
  if (position === positionOfStage(step, stage - 1)) return '';
  const entry = library.position(position);
  return entry ? [`${entry.names.english}.`, ...entry.waysIn].join(' ') : '';
}

function changesOf(step: Step, timeline: Timeline, index: number, library: Library): string[] {
  const span = timeline.steps[index];
  if (!span) return [];
  const phases = timeline.phases.slice(span.firstPhase, span.endPhase);
  const first = phases.find(({ kind }) => kind === 'hold');
  const stages = phases.flatMap((phase) => {
    if (step.kind !== 'hold' || phase.kind !== 'hold' || phase.turn !== 0 || !phase.stage) return [];
    const moves = phase.stage.moves.length > 0 ? movesInWords(phase.stage.moves) : '';
    const way = wordsOnSide(wayIntoStage(step, phase.stage.index, library), phase.side);
    if (moves === '' && way === '') return [];
    const when = `after ${clockOfMs(phase.startMs - (first?.startMs ?? 0))}`;
    return [`${when}: ${[moves, way].filter(Boolean).join('; ')}`];
  });
  const change = phases.find(({ kind }) => kind === 'switch');
  const moves =
    change?.kind === 'switch' && change.moves.length > 0 ? [`at the change: ${movesInWords(change.moves)}`] : [];
  return [...stages, ...moves];
}

/** `in bed`, as the first line of a cell, where that is new. */
const whereOfCell = (plan: Plan, index: number): string[] => [newWhereInWords(plan, index)].filter(Boolean);

const sameProps = (a: SetUp, b: SetUp): boolean =>
  JSON.stringify(placedProps(a, 'left')) === JSON.stringify(placedProps(b, 'left'));
const samePosition = (a: Step, b: Step): boolean =>
  a.kind === b.kind && (a.kind !== 'hold' || b.kind !== 'hold' || a.position === b.position);

/** Whether a step is laid out as the one of a cell: nothing that is printed of it differs. */
const isSameCell = (cell: SheetCell, step: Step & { setUp: SetUp }, changes: readonly string[]): boolean =>
  samePosition(cell.step, step) &&
  sameProps(cell.setUp, step.setUp) &&
  cell.other === '' &&
  cell.step.note === step.note &&
  cell.changes.join('\n') === changes.join('\n');

/** The steps of a plan that have props, as cells of a sheet; the same props in the same position again are one cell. */
export function sheetCells(plan: Plan, timeline: Timeline, library: Library): SheetCell[] {
  const cells: SheetCell[] = [];
  for (const [index, step] of plan.steps.entries()) {
    if (!isLaidOut(step)) continue;
    const changes = changesOf(step, timeline, index, library);
    const last = cells.at(-1);
    if (last && !step.otherSetUp && isSameCell(last, step, changes)) {
      last.number += ` and ${index + 1}`;
      continue;
    }
    const others = withOtherSetUp(step, plan.groupSize);
    cells.push({
      step,
      number: String(index + 1),
      setUp: step.setUp,
      rows: [
        ...whereOfCell(plan, index),
        ...step.setUp.map((row) => `${setUpRowInWords(row)}${row.optional ? ', optional' : ''}`),
      ],
      group: groupOf(step.setUp, plan.groupSize - others),
      changes,
      other:
        others > 0
          ? `${others} of ${plan.groupSize} instead: ${(step.otherSetUp?.setUp ?? []).map(setUpRowInWords).join('; ') || 'no props'}`
          : '',
    });
  }
  return cells;
}
