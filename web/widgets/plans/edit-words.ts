import type { Plan, PlanEdit } from '#core/plan';

/** What the fields of a plan and of its steps are called. */
const FIELDS: Record<string, string> = {
  title: 'title',
  intent: 'intent',
  approach: 'approach',
  group: 'group',
  groupId: 'group',
  groupSize: 'number of people',
  place: 'place',
  cupboard: 'place',
  startsAt: 'date and time',
  where: 'where it takes place',
  rules: 'sides and times of changes',
  classSeconds: 'class length',
  tags: 'tags',
  name: 'name',
  note: 'note',
  weight: 'priority',
  pinned: 'pin',
  takesRemaining: 'what is left of the class',
  rangeIsUsual: 'range',
  unevenIntended: 'difference between sides',
  waysIn: 'getting in',
  waysOut: 'coming out',
  leftMeans: 'what left means',
  demands: 'cautions',
  range: 'range',
  strength: 'intensity',
  stages: 'stages',
  setUp: 'set-up',
  setupSeconds: 'time to set up',
  enterSeconds: 'getting in',
  leaveSeconds: 'coming out',
  switchSeconds: 'changing sides',
  prompts: 'prompts',
  breath: 'breath in the hold',
  rebound: 'rebound',
  loosen: 'release',
  practice: 'breath',
  moves: 'position that moves',
  afterSeconds: 'quiet breathing',
  seat: 'sitting or lying',
};
/** `title`, `group and place`: each name once. */
function fields(patch: object): string {
  const names = [...new Set(Object.keys(patch).map((key) => FIELDS[key] ?? key))];
  return names.length < 2 ? (names[0] ?? 'nothing') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
}

/**
 * What an edit does, as a menu would say it: `Change title`, `Delete Child’s pose`. Steps are named as they are in the
 * plan.
 */
export function editInWords(edit: PlanEdit, plan: Plan | undefined): string {
  const named = (id: string): string => plan?.steps.find((step) => step.id === id)?.name || 'step';
  switch (edit.kind) {
    case 'several': {
      const [only, ...others] = edit.edits;
      // Set-ups that go along with something are not what was done.
      if (only && others.every(({ kind }) => kind === 'setSetUp') && only.kind !== 'setSetUp')
        return editInWords(only, plan);
      if (only && others.length === 0) return editInWords(only, plan);
      const all = (kind: PlanEdit['kind']): boolean => edit.edits.every((one) => one.kind === kind);
      if (all('removeStep')) return `Delete ${edit.edits.length} steps`;
      return all('addStep') ? `Add ${edit.edits.length} steps` : 'Change several steps';
    }
    case 'setDetails':
      if (edit.patch.archived !== undefined) return edit.patch.archived ? 'Archive the plan' : 'Unarchive the plan';
      return `Change ${fields(edit.patch)}`;
    case 'setOrderPairs':
      return 'Change the required order';
    case 'addStep':
      return `Add ${edit.step.name || 'step'}`;
    case 'removeStep':
      return `Delete ${named(edit.step)}`;
    case 'moveStep':
      return `Move ${named(edit.step)}`;
    case 'duplicateStep':
      return `Duplicate ${named(edit.step)}`;
    case 'setStep': {
      const { locked } = edit.patch;
      if (locked !== undefined && Object.keys(edit.patch).length === 1)
        return `${locked ? 'Lock' : 'Unlock'} ${named(edit.step)}`;
      return `Change ${fields(edit.patch)} of ${named(edit.step)}`;
    }
    case 'setHold':
    case 'setBreath':
      return `Change ${fields(edit.patch)} of ${named(edit.step)}`;
    case 'setSeconds':
    case 'setHoldSeconds':
      return `Change length of ${named(edit.step)}`;
    case 'setBreathSeconds':
      return edit.breathSeconds === null
        ? `Measure ${named(edit.step)} by the clock`
        : `Measure ${named(edit.step)} in breaths`;
    case 'setEven':
    case 'setFirstSide':
    case 'setOnlySide':
    case 'setSidesKind':
      return `Change sides of ${named(edit.step)}`;
    case 'setSetUp':
    case 'takeSetUp':
      return `Change set-up of ${named(edit.step)}`;
    case 'setOtherSetUp':
      return edit.otherSetUp
        ? `Alternative set-up for some in ${named(edit.step)}`
        : `One set-up for all in ${named(edit.step)}`;
    case 'replaceStep':
      return `Replace ${named(edit.step)}`;
    case 'replacePosition':
      return `Replace the position by ${edit.by.name}`;
    case 'takeFit':
      return 'Fit lengths';
    case 'takeOrder':
      return 'Change order';
    case 'takeVariant':
      return `Use variant “${edit.name}”`;
    case 'restoreVersion':
      return 'Restore an earlier version';
  }
}
