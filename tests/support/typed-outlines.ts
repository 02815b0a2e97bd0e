import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { Plan, Step } from '#core/plan';
import type { Question, ReadLine } from '#core/exchange';

/** An outline as somebody typed it, each line with what it means to a teacher. */
export interface TypedOutline {
  name: string;
  lines: { typed: string; means: string }[];
}

const FILE = fileURLToPath(new URL('../samples/outlines/typed.txt', import.meta.url));

/** The outlines that were typed the way people type, with what each line means. */
export function typedOutlines(): TypedOutline[] {
  return readFileSync(FILE, 'utf8')
    .split(/^=== /m)
    .slice(1)
    .map((block) => {
      const [name = '', ...rows] = block.trimEnd().split('\n');
      const lines = rows.map((row) => {
        const at = row.lastIndexOf(' => ');
        return { typed: row.slice(0, at), means: row.slice(at + 4) };
      });
      return { name, lines };
    });
}

/** What a step says of what it was made from: `hold sphinx`, `custom`, `talk`. */
function kindOf(step: Step): string {
  if (step.kind === 'breath') return `breath ${step.technique}`;
  if (step.kind !== 'hold') return step.kind;
  return step.position.startsWith('own-') ? 'custom' : `hold ${step.position}`;
}

function secondsOf(step: Step): number | undefined {
  if (step.kind === 'breath') return undefined;
  if (step.kind !== 'hold') return step.seconds;
  const { sides } = step;
  return 'seconds' in sides ? sides.seconds : sides.length.kind === 'even' ? sides.length.seconds : undefined;
}

const sideOf = (step: Step, side: 'left' | 'right'): number | undefined =>
  step.kind === 'hold' && 'length' in step.sides && step.sides.length.kind === 'perSide'
    ? step.sides.length[side]
    : undefined;

const countsOf = (step: Step): string => {
  if (step.kind !== 'breath') return '';
  const part = step.practice.sets.flatMap(({ parts }) => parts).find(({ kind }) => kind === 'cycle');
  return part?.kind === 'cycle' ? [part.in, part.holdFull, part.out, part.holdEmpty].join('-') : '';
};

const propsOf = (step: Step): string =>
  'setUp' in step && step.setUp
    ? step.setUp.map(({ kind, place, count }) => `${count > 1 ? count : ''}${kind}@${place}`).join(',')
    : '';

/** What a step has, by the key of an expectation. */
const VALUES: Readonly<Record<string, (step: Step) => unknown>> = {
  each: (step) => step.kind === 'hold' && 'length' in step.sides,
  together: (step) => step.kind === 'hold' && step.sides.kind === 'together',
  remaining: (step) => step.takesRemaining,
  locked: (step) => step.locked,
  afterEach: (step) => step.kind === 'hold' && step.rebound.kind === 'afterEach',
  first: (step) => (step.kind === 'hold' && 'first' in step.sides ? step.sides.first : undefined),
  one: (step) => (step.kind === 'hold' && step.sides.kind === 'one' ? step.sides.side : undefined),
  left: (step) => sideOf(step, 'left'),
  right: (step) => sideOf(step, 'right'),
  range: (step) => step.kind === 'hold' && step.range && `${step.range.min}-${step.range.max}`,
  rest: (step) => (step.kind === 'hold' && step.rebound.kind !== 'none' ? step.rebound.seconds : undefined),
  inside: (step) => step.kind === 'hold' && step.breath?.technique,
  prompt: (step) => step.kind === 'hold' && step.prompts.map(({ text }) => text.replaceAll(' ', '_')).join(),
  wall: (step) => step.kind === 'hold' && step.setUp.find(({ kind }) => kind === 'wall')?.wallCm,
  props: propsOf,
};

/** What is wrong with a step, compared with what it means. */
function faultsOf(step: Step | undefined, means: string): string[] {
  if (!step) return ['no step'];
  const [kind = '', ...words] = means.split(' ');
  const entry =
    /^(?:hold|breath)$/.test(kind) && /^[a-z]/.test(words[0] ?? '') ? `${kind} ${words.shift() ?? ''}` : kind;
  const faults =
    kindOf(step) === entry || (entry === 'breath' && step.kind === 'breath') ? [] : [`it is ${kindOf(step)}`];
  for (const word of words) {
    const [key = '', wanted = 'true'] = word.split('=');
    const now = /^\d+$/.test(word)
      ? [secondsOf(step), word]
      : /^\d+-/.test(word)
        ? [countsOf(step), word]
        : /^x\d+$/.test(word)
          ? [step.kind === 'breath' && `x${step.practice.sets.at(-1)?.rounds}`, word]
          : [VALUES[key]?.(step), wanted];
    if (String(now[0]) !== now[1]) faults.push(`${key} is ${String(now[0])}`);
  }
  return faults;
}

/** The right answer to a question about a step that means this; undefined where the question has none. */
function rightChoice({ choices }: Question, means: string): string | undefined {
  const words = means.split(/[ =@,]/);
  const [kind = '', id = ''] = words;
  return choices.map(({ value }) => value).find((value) => value === `${kind} ${id}` || words.includes(value));
}

/** The answers a teacher would give to the questions of an outline, where they are offered. */
export const rightAnswers = (lines: readonly ReadLine[], outline: TypedOutline): Record<string, string> =>
  Object.fromEntries(
    lines.flatMap(({ questions }, i) =>
      questions.flatMap((question) => {
        // The second question of the same sort is about the second step of a line that has several.
        const nth = Number(/\? (\d+)$/.exec(question.id)?.[1] ?? 1);
        const meant = outline.lines[i]?.means.split(' | ') ?? [];
        const likely = [meant[nth - 1] ?? '', ...meant];
        const right = likely.map((words) => rightChoice(question, words)).find((choice) => choice !== undefined);
        return right === undefined ? [] : [[question.id, right]];
      }),
    ),
  );

const HEADING_FIELDS: Readonly<Record<string, keyof Plan>> = {
  start: 'startsAt',
  class: 'classSeconds',
  people: 'groupSize',
  title: 'title',
  approach: 'approach',
};

/** What is wrong with a line that was read, compared with what it means. */
export function faultsOfLine(line: ReadLine, means: string, plan: Plan): string[] {
  const [kind = ''] = means.split(' ');
  const wanted =
    { note: 'note', heading: 'heading' }[kind] ?? (/^(?:props|prompt|rest)=/.test(means) ? 'detail' : 'step');
  if (line.kind !== wanted) return [`a ${line.kind}`];
  if (wanted === 'heading')
    return [...means.matchAll(/(\w+)=(.+?)(?=\s\w+=|$)/g)].flatMap(([, key = '', value]) => {
      const now = String(plan[HEADING_FIELDS[key] ?? 'title']);
      return now === value ? [] : [`${key} is ${now}`];
    });
  if (wanted !== 'step') return [];
  const steps = plan.steps.filter(({ id }) => line.steps.includes(id));
  const meant = means.split(' | ');
  const extra = steps.length > meant.length ? [`${steps.length} steps`] : [];
  return [...meant.flatMap((words, i) => faultsOf(steps[i], words)), ...extra];
}
