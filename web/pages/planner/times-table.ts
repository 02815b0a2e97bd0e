import { toMs, type Ms } from '#core/numbers';
import { WHERE_WORDS, type Library } from '#core/catalogue';
import { sideNamed, type Plan, type Step } from '#core/plan';
import { setUpInWords } from '#core/props';
import type { Phase, PhaseSide, Timeline } from '#core/timeline';

/** One side of a step, or a whole step without sides, as the ribbon draws it. */
export interface TimesRow {
  id: string;
  /** Place of the step in the plan, from 1. */
  number: number;
  startMs: Ms;
  name: string;
  /** Empty where there is none to speak of. */
  side: string;
  /** The hold itself, without getting in and coming out; of other steps their whole length. */
  ms: Ms;
  props: string;
}

const SIDES: Readonly<Record<PhaseSide, string>> = { left: 'left', right: 'right', both: 'both sides', none: '' };
/** The side of a row in words, with what it is in a hold. */
function sideOf(step: Step, { side }: Phase, library: Library): string {
  const isOne = side === 'left' || side === 'right';
  return step.kind === 'hold' && isOne ? sideNamed(step, side, library) : SIDES[side];
}

/** What is a change from one thing to the next, and no row. */
const BETWEEN: ReadonlySet<Phase['kind']> = new Set(['setup', 'switch', 'enter', 'leave']);
const AFTER: Partial<Record<Phase['kind'], string>> = { rebound: 'Rest after', loosen: 'Release after' };

/** Where a step takes place, if it says, and what it is set up with. */
const propsOf = (step: Step): string =>
  [step.where ? WHERE_WORDS[step.where] : '', 'setUp' in step && step.setUp ? setUpInWords(step.setUp) : '']
    .filter(Boolean)
    .join(': ');

/** What the ribbon of a plan shows, in rows: when each side of each step begins, how long it is, with which props. */
export function timesTable(plan: Plan, timeline: Timeline, library: Library): TimesRow[] {
  const rows: TimesRow[] = [];
  let before = '';
  for (const phase of timeline.phases) {
    const step = plan.steps[phase.stepIndex];
    if (!step || BETWEEN.has(phase.kind)) continue;
    const after = AFTER[phase.kind];
    const turn = 'turn' in phase ? phase.turn : 0;
    const part = `${phase.stepIndex} ${after ?? ''} ${turn}`;
    const ms = phase.endMs - phase.startMs;
    const last = rows.at(-1);
    if (last && part === before) {
      last.ms = toMs((last.ms + ms) / 1000);
      continue;
    }
    before = part;
    rows.push({
      id: String(rows.length),
      number: phase.stepIndex + 1,
      startMs: phase.startMs,
      name: after === undefined ? step.name : `${after} ${step.name}`,
      side: sideOf(step, phase, library),
      ms: toMs(ms / 1000),
      props: after === undefined ? propsOf(step) : '',
    });
  }
  return rows;
}
