import { FAMILIES, familyLabel, type Library } from '#core/catalogue';
import type { Plan } from '#core/plan';
import { setUpRowInWords } from '#core/props';
import type { Thread, ThreadOf } from './thread';
import { countsIn, numberIn } from './thread-edits';
import { stageTitle } from './words';

/** What grows by itself: everything but what comes new. */
export type Growing = Exclude<Thread, { kind: 'new' }>;
/** What a plan has that can grow over the weeks: what it is called, and a thread that leaves it as it is. */
export interface CanGrow {
  /** Names it among the others of this plan. */
  key: string;
  name: string;
  still: Growing;
}

const USUAL = { id: 'new', byWeek: 1 } as const;
const lengthOf = (of: ThreadOf<'length'>['of'], from: number): ThreadOf<'length'> => ({
  ...USUAL,
  ...{ kind: 'length', of, from, to: from, grid: 15, mostAWeek: 60 },
});
const firstPart = (name: string): string => name.split(',')[0] ?? name;

/** Everything in a plan that can grow, each with what the plan has of it: lengths, stages, breaths, props, talk. */
export function whatCanGrow(plan: Plan, library: Library): CanGrow[] {
  const found: CanGrow[] = [];
  const isHeld = plan.steps.filter(({ kind }) => kind === 'hold' || kind === 'rest');
  for (const { id, name } of isHeld) {
    const of = { kind: 'step', step: id } as const;
    const from = numberIn(lengthOf(of, 1), plan, library);
    if (from !== undefined) found.push({ key: `length ${id}`, name: firstPart(name), still: lengthOf(of, from) });
  }
  for (const family of FAMILIES) {
    const of = { kind: 'family', family } as const;
    const count = plan.steps.filter(
      (step) => step.kind === 'hold' && library.position(step.position)?.family === family,
    );
    const from = numberIn(lengthOf(of, 1), plan, library);
    if (count.length > 1 && from !== undefined)
      found.push({ key: `family ${family}`, name: `All ${familyLabel(family)} holds`, still: lengthOf(of, from) });
  }
  for (const step of plan.steps) {
    for (const [at, { id, name }] of (step.kind === 'hold' ? step.stages : []).entries()) {
      const of = { kind: 'stage', step: step.id, stage: id } as const;
      const from = numberIn(lengthOf(of, 1), plan, library);
      if (from === undefined) continue;
      const called = `${firstPart(step.name)}, ${stageTitle(name, at)}`;
      found.push({ key: `stage ${step.id} ${id}`, name: called, still: lengthOf(of, from) });
    }
  }
  for (const { id, name } of plan.steps) {
    const empty = { in: 1, holdFull: 0, out: 1, holdEmpty: 0 };
    const still: ThreadOf<'breath'> = { ...USUAL, kind: 'breath', step: id, from: empty, to: empty, easyAWeek: 1 };
    const from = countsIn(still, plan);
    if (from) found.push({ key: `breath ${id}`, name: firstPart(name), still: { ...still, from, to: from } });
  }
  for (const step of plan.steps) {
    for (const row of ('setUp' in step && step.setUp) || []) {
      const still: ThreadOf<'props'> = {
        ...USUAL,
        kind: 'props',
        step: step.id,
        row: row.id,
        from: row.count,
        to: row.count,
      };
      found.push({
        key: `props ${step.id} ${row.id}`,
        name: `${setUpRowInWords(row)}, ${firstPart(step.name)}`,
        still,
      });
    }
  }
  const talk: ThreadOf<'talk'> = { ...USUAL, kind: 'talk', from: 0, to: 0 };
  const share = numberIn(talk, plan, library);
  if (share) found.push({ key: 'talk', name: 'Talk', still: { ...talk, from: share, to: share } });
  return found;
}

/** Which of the things that can grow a thread is of; undefined where the plan no longer has it. */
export const sameAs = (thread: Thread, all: readonly CanGrow[]): CanGrow | undefined =>
  all.find(({ still }) => {
    if (still.kind !== thread.kind) return false;
    if (still.kind === 'length' && thread.kind === 'length')
      return JSON.stringify(still.of) === JSON.stringify(thread.of);
    if (still.kind === 'breath' && thread.kind === 'breath') return still.step === thread.step;
    if (still.kind === 'props' && thread.kind === 'props')
      return still.step === thread.step && still.row === thread.row;
    return still.kind === 'talk';
  });
