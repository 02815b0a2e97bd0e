import type { PlanChange, StepLengths } from '#core/plan';
import { clockOfSeconds } from '#core/time';

const FIELDS: Record<Extract<PlanChange, { kind: 'field' }>['field'], string> = {
  title: 'Title',
  intent: 'Focus of the class',
  approach: 'Approach',
  group: 'Group',
  groupSize: 'Number of people',
  place: 'Place',
  where: 'Where it takes place',
  rules: 'Sides and times of changes',
  startsAt: 'Date and time',
  classSeconds: 'Class length',
  tags: 'Tags',
  archived: 'Archived or not',
  orderPairs: 'Required order',
};

type Facet = Extract<PlanChange, { kind: 'step' }>['facets'][number];
const FACETS: Record<Exclude<Facet, 'length'>, string> = {
  name: 'name',
  position: 'position',
  sides: 'sides',
  range: 'range',
  stages: 'stages',
  props: 'props',
  changes: 'times of set-up and changes',
  prompts: 'prompts',
  breath: 'breath',
  rest: 'rest after it',
  intensity: 'intensity',
  fitting: 'lock or priority',
  note: 'note',
  where: 'where it takes place',
};

const roundsInWords = (rounds: number): string => `${rounds} ${rounds === 1 ? 'round' : 'rounds'}`;

/** `3:40 a side`, `left 2:00, right 2:10`, `12 rounds`. */
function lengthInWords({ left, right, kind }: StepLengths): string {
  switch (kind) {
    case 'rounds':
      return roundsInWords(left);
    case 'one':
      return clockOfSeconds(left);
    case 'even':
      return `${clockOfSeconds(left)} a side`;
    case 'perSide':
      return `left ${clockOfSeconds(left)}, right ${clockOfSeconds(right)}`;
  }
}

/** One change of a plan: `Reclined twist: 3:00 a side → 4:00 a side; props`. */
export function changeInWords(change: PlanChange): string {
  switch (change.kind) {
    case 'field':
      return `${FIELDS[change.field]} changed`;
    case 'added':
      return `Added ${change.name}`;
    case 'removed':
      return `Removed ${change.name}`;
    case 'moved':
      return `Moved ${change.name} from place ${change.from} to ${change.to}`;
    case 'step': {
      const { name, facets, length } = change;
      const others = facets.flatMap((facet) => (facet === 'length' ? [] : FACETS[facet]));
      const lengths = length ? `${lengthInWords(length.from)} → ${lengthInWords(length.to)}` : '';
      const changed = others.length > 0 ? `${others.join(', ')} changed` : '';
      return `${name}: ${[lengths, changed].filter(Boolean).join('; ')}`;
    }
  }
}
