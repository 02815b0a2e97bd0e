import type { HoldStep, Plan, Step } from '#core/plan';
import type { SetUp } from '#core/props';

/** What fields of a plan are called where they are not in an outline. */
const PLAN_WORDS: Partial<Record<keyof Plan, string>> = {
  title: 'the title as it is spaced',
  intent: 'the focus as it is written',
  group: 'whose class it is',
  place: 'the place as it is written',
  startsAt: 'the date',
  classSeconds: 'the length of the class',
  rules: 'the plan’s own settings',
  tags: 'the tags',
  orderPairs: 'the required order',
  cupboard: 'which props are available',
};
/** Fields that are about where a plan is kept, not what is taught. */
const NOT_CONTENT: ReadonlySet<keyof Plan> = new Set(['format', 'version', 'groupId', 'archived', 'steps']);

const STEP_WORDS: Readonly<Record<string, string>> = {
  kind: 'what kind of step it is',
  name: 'the name as it is written',
  note: 'the note',
  position: 'the position',
  technique: 'the technique',
  demands: 'what it demands',
  sides: 'the lengths',
  range: 'the range',
  rangeIsUsual: 'the range',
  strength: 'the intensity',
  stages: 'details of the stages',
  setUp: 'details of the set-up',
  otherSetUp: 'the alternative set-up for some',
  prompts: 'details of the prompts',
  breath: 'the breath inside it',
  rebound: 'the rest after it',
  loosen: 'the release after it',
  waysIn: 'how to get in',
  waysOut: 'how to come out',
  leftMeans: 'what left means',
  practice: 'the practice in full',
  moves: 'the position it moves',
  seat: 'the seat',
  breathSeconds: 'that it is measured in breaths',
};

const withoutIds = <T extends object>(list: readonly T[]): object[] => list.map((one) => ({ ...one, id: '' }));

const withoutWhy = (value: unknown): unknown =>
  Array.isArray(value) ? value.map((row: object) => ({ ...row, why: '' })) : value;

/** A set-up as it can be compared: a piece in the middle has no side to change. */
const rowsOf = (setUp: SetUp | null): unknown =>
  setUp &&
  withoutIds(setUp.map((row) => (row.side === 'left' || row.side === 'right' ? row : { ...row, mirror: true })));

const lengthsOf = (sides: HoldStep['sides']): unknown =>
  'length' in sides && sides.length.kind === 'even' ? { ...sides, length: sides.length.seconds } : sides;

/** The value of a field as it can be compared: ids are not part of it. */
function comparable(step: Step, field: string): unknown {
  const value: unknown = Object.entries(step).find(([name]) => name === field)?.[1];
  if (field === 'setUp') return rowsOf(value as SetUp | null);
  if (field === 'sides') return lengthsOf(value as HoldStep['sides']);
  if (step.kind === 'hold' && field === 'stages') return withoutIds(step.stages);
  if (step.kind === 'hold' && field === 'prompts') return withoutIds(step.prompts);
  if (step.kind === 'breath' && field === 'practice') return { ...step.practice, sets: withoutIds(step.practice.sets) };
  if (step.kind === 'hold' && field === 'breath' && step.breath)
    return { ...step.breath, practice: { ...step.breath.practice, sets: withoutIds(step.breath.practice.sets) } };
  // A range that is none is nobody’s.
  if (step.kind === 'hold' && field === 'rangeIsUsual') return step.range !== null && step.rangeIsUsual;
  // The id of a custom hold is its own everywhere.
  if (step.kind === 'hold' && field === 'position' && step.position.startsWith('own-')) return 'own';
  return value;
}

const sorted = (value: unknown): unknown => {
  if (Array.isArray(value)) return value.map(sorted);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, one]) => one !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, one]) => [key, sorted(one)]),
  );
};
const same = (a: unknown, b: unknown): boolean => JSON.stringify(sorted(a)) === JSON.stringify(sorted(b));

const wordsOf = (step: Step, read: Step, field: string): string =>
  field === 'setUp' && same(withoutWhy(comparable(step, field)), withoutWhy(comparable(read, field)))
    ? 'why the props are there'
    : (STEP_WORDS[field] ?? field);

/** What came back of a plan differently from how it was, each in a few words: `step 3: the seat`. */
export function differencesOf(plan: Plan, back: Plan): string[] {
  const found = (Object.keys(plan) as (keyof Plan)[]).flatMap((field) =>
    NOT_CONTENT.has(field) || same(plan[field], back[field]) ? [] : [PLAN_WORDS[field] ?? field],
  );
  if (plan.steps.length !== back.steps.length) return [...found, 'some of the steps'];
  for (const [i, step] of plan.steps.entries()) {
    const read = back.steps[i];
    if (!read) continue;
    const fields = Object.keys(step).filter(
      (field) => field !== 'id' && !same(comparable(step, field), comparable(read, field)),
    );
    const words = fields.includes('kind')
      ? ['what kind of step it is']
      : [...new Set(fields.map((field) => wordsOf(step, read, field)))];
    found.push(...words.map((what) => `step ${i + 1}: ${what}`));
  }
  return found;
}
