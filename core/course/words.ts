import { ratioInWords, type Ratio } from '#core/breath';
import { familyLabel, type Library } from '#core/catalogue';
import type { Plan } from '#core/plan';
import { propKind } from '#core/props';
import { clockOfSeconds } from '#core/time';
import type { ThreadWeeks } from './derive';
import type { Bind } from './grow-course';
import type { Thread, ThreadOf } from './thread';

const several = (n: number, one: string, many: string): string => `${n} ${n === 1 ? one : many}`;

/** What grows: the name of its step as far as the first comma, or what it is of. */
export function threadName(thread: Thread, { steps }: Plan, library: Library): string {
  const nameOf = (id: string): string =>
    steps.find((step) => step.id === id)?.name.split(',')[0] ?? 'A step that is gone';
  switch (thread.kind) {
    case 'length':
      if (thread.of.kind === 'family') return `All ${familyLabel(thread.of.family)} holds`;
      return thread.of.kind === 'step' ? nameOf(thread.of.step) : stageName(thread.of, steps, nameOf(thread.of.step));
    case 'breath':
      return nameOf(thread.step);
    case 'props':
      return `${propsOf(thread, steps)} in ${nameOf(thread.step)}`;
    case 'new':
      return (library.position(thread.entry) ?? library.technique(thread.entry))?.names.english ?? thread.entry;
    case 'talk':
      return 'Talk';
  }
}

/** `Head to knee, on the blocks`; a stage without a name goes by its place. */
function stageName({ step: id, stage }: { step: string; stage: string }, steps: Plan['steps'], of: string): string {
  const step = steps.find((one) => one.id === id);
  const stages = step?.kind === 'hold' ? step.stages : [];
  const at = stages.findIndex((one) => one.id === stage);
  return `${of}, ${at < 0 ? 'a stage that is gone' : stageTitle(stages[at]?.name ?? '', at)}`;
}
/** A stage as it is called, or by its place, from 0. */
export const stageTitle = (name: string, at: number): string => (name === '' ? `stage ${at + 1}` : name);

/** What a row of a set-up is of, in the plural: `Blocks`. */
function propsOf({ step: id, row }: ThreadOf<'props'>, steps: Plan['steps']): string {
  const step = steps.find((one) => one.id === id);
  const found = step && 'setUp' in step ? step.setUp?.find((one) => one.id === row) : undefined;
  if (!found) return 'Props';
  const { plural } = propKind(found.kind);
  return plural.charAt(0).toUpperCase() + plural.slice(1);
}

/** A value of what grows: `7:30`, `5 : 0 : 8`, `2 pieces`, `6 % of the class`. */
export function valueInWords(thread: Thread, value: number | Ratio): string {
  if (typeof value !== 'number') return ratioInWords(value);
  if (thread.kind === 'length') return clockOfSeconds(value);
  return thread.kind === 'props' ? several(value, 'piece', 'pieces') : `${value} % of the class`;
}

function bindInWords(bind: Bind | null): string {
  if (bind?.kind !== 'gate') return 'the weekly limit';
  return `the gate of ${several(bind.gate, 'easy session', 'easy sessions')} at ${ratioInWords(bind.before)}`;
}

/**
 * Why an aim is not reached in time, as a sentence; undefined where it is. `5:00 is not possible by
 * week 6: the weekly limit needs 2 more weeks; 4:30 is.`
 */
export function outcomeInWords({ thread, outcome }: ThreadWeeks): string | undefined {
  if (outcome.kind === 'inTime' || thread.kind === 'new') return undefined;
  const aim = `${valueInWords(thread, thread.to)} is not possible by week ${thread.byWeek}`;
  const binds = bindInWords(outcome.binds);
  if (outcome.kind === 'late') return `${aim}: ${binds} puts it off until week ${outcome.week}.`;
  const nearest = `${valueInWords(thread, outcome.nearest)} is.`;
  if (outcome.moreWeeks === null) return `${aim}, nor later: ${binds} stands in the way; ${nearest}`;
  return `${aim}: ${binds} needs ${several(outcome.moreWeeks, 'more week', 'more weeks')}; ${nearest}`;
}
