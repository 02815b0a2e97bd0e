import type { BreathPhase, Through } from '#core/breath';
import {
  APPROACH_LABELS,
  AREAS,
  ENERGY_LINES,
  FAMILIES,
  familyLabel,
  NOTHING_CHOSEN,
  SITUATION_WORDS,
  SITUATIONS,
  SPINE_WAYS,
  TRAIT_WORDS,
  TRAITS,
  type Approach,
  type Chosen,
  type Position,
  type SpineWay,
} from '#core/catalogue';
import type { BodyMap } from '#core/settings';
import { propKind, type PropKind } from '#core/props';
import { clockOfSeconds } from '#core/time';

/** Capitalises the first letter. */
export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

export interface Group<G extends keyof Chosen = keyof Chosen> {
  group: G;
  title: string;
  options: { value: Chosen[G][number]; label: string }[];
}

const PROP_OPTIONS: (PropKind | 'none')[] = ['flatBolster', 'blanket', 'block', 'pillow', 'chair', 'strap', 'none'];

/** The filters of the library, in the order in which teachers choose: with `tags`, the ones in use here. */
export const filtersFor = (bodyMap: BodyMap, tags: readonly string[]): readonly Group[] =>
  ALL_FILTERS.filter(({ group }) => (group === 'area' ? bodyMap !== 'lines' : group !== 'line' || bodyMap !== 'areas'))
    .map((filter) =>
      filter.group === 'tag' ? { ...filter, options: tags.map((value) => ({ value, label: value })) } : filter,
    )
    .filter(({ options }) => options.length > 0);

const SPINE_WORDS: Readonly<Record<SpineWay, string>> = {
  long: 'Long',
  rounded: 'Rounded forward',
  arched: 'Arched',
  leaning: 'Leaning to a side',
  turned: 'Turned',
};

const ALL_FILTERS: readonly Group[] = [
  {
    group: 'approach',
    title: 'Approach',
    options: (['restorative', 'yin', 'pranayama'] as const).map((value) => ({ value, label: APPROACH_LABELS[value] })),
  },
  {
    group: 'family',
    title: 'Place',
    options: FAMILIES.map((value) => ({ value, label: capital(familyLabel(value)) })),
  },
  { group: 'area', title: 'Works on', options: AREAS.map((value) => ({ value, label: capital(value) })) },
  { group: 'line', title: 'Energy lines', options: ENERGY_LINES.map((value) => ({ value, label: capital(value) })) },
  { group: 'tag', title: 'Your tags', options: [] },
  { group: 'used', title: 'Used', options: [{ value: 'lately', label: 'In your last 20 plans' }] },
  {
    group: 'situation',
    title: 'Situation',
    options: SITUATIONS.map((value) => ({ value, label: SITUATION_WORDS[value] })),
  },
  { group: 'spine', title: 'The back', options: SPINE_WAYS.map((value) => ({ value, label: SPINE_WORDS[value] })) },
  {
    group: 'sides',
    title: 'Sides',
    options: [
      { value: 'together', label: 'Together' },
      { value: 'sides', label: 'Left, then right' },
    ],
  },
  {
    group: 'props',
    title: 'Props at hand',
    options: PROP_OPTIONS.map((value) => ({
      value,
      label: value === 'none' ? 'No props' : capital(propKind(value).plural),
    })),
  },
  {
    group: 'wall',
    title: 'Wall',
    options: [
      { value: 'with', label: 'At a wall' },
      { value: 'without', label: 'Without a wall' },
    ],
  },
  {
    group: 'where',
    title: 'Can be done',
    options: [
      { value: 'bed', label: 'In bed' },
      { value: 'chair', label: 'Sitting on a chair' },
      { value: 'outdoors', label: 'Outdoors' },
    ],
  },
  {
    group: 'length',
    title: 'Held for',
    options: [
      { value: 'short', label: 'Up to 2 min' },
      { value: 'middle', label: 'Up to 4 min' },
      { value: 'long', label: 'Longer' },
    ],
  },
  { group: 'leaveOut', title: 'Avoid', options: TRAITS.map((value) => ({ value, label: TRAIT_WORDS[value] })) },
];

/** What is chosen in every group of filters, as fields and the address hold it. */
export type ChosenValues = { [group in keyof Chosen]: string[] };

export const nothingChosen = (): ChosenValues =>
  structuredClone<{ readonly [group in keyof Chosen]: readonly string[] }>(NOTHING_CHOSEN) as ChosenValues;

export const GROUPS_OF_FILTERS = Object.keys(NOTHING_CHOSEN) as (keyof Chosen)[];

/** What is chosen, as the search takes it: an address that was typed by hand may name what there is not. */
export function chosenOf(values: ChosenValues, filters: readonly Group[]): Chosen {
  const chosen = { ...NOTHING_CHOSEN };
  for (const { group, options } of filters) {
    const known = options.map(({ value }) => value).filter((value) => values[group].includes(value));
    Object.assign(chosen, { [group]: known });
  }
  return chosen;
}

/** How long it is usually held, from the shortest to the longest of its approaches: `3 to 8 min`. */
export function rangeInWords({ defaults }: Position): string {
  const ranges = Object.values(defaults);
  const least = Math.min(...ranges.map(({ minSeconds }) => minSeconds));
  const most = Math.max(...ranges.map(({ maxSeconds }) => maxSeconds));
  const minutes = (seconds: number) => (seconds % 60 === 0 ? String(seconds / 60) : clockOfSeconds(seconds));
  return `${minutes(least)} to ${minutes(most)} min`;
}

/** The props of the first set-up in a few words: `bolster, 2 blankets`. */
export function propsInWords({ setUps }: Position): string {
  const counts = new Map<PropKind, number>();
  for (const { kind, count, side, optional } of setUps[0]?.items ?? []) {
    if (!optional) counts.set(kind, (counts.get(kind) ?? 0) + count * (side === 'each' ? 2 : 1));
  }
  const words = [...counts].map(([kind, count]) =>
    count > 1 ? `${count} ${propKind(kind).plural}` : propKind(kind).label,
  );
  return words.join(', ') || 'no props';
}

/** Length and range in one approach: `3:00, from 2:00 to 5:00, intensity 2`. */
export function usualInWords(defaults: Position['defaults'], approach: Approach): string {
  const usual = defaults[approach];
  if (!usual) return '';
  const { seconds, minSeconds, maxSeconds, strength } = usual;
  return `${clockOfSeconds(seconds)}, from ${clockOfSeconds(minSeconds)} to ${clockOfSeconds(maxSeconds)}, intensity ${strength}`;
}

export const SIDES_WORDS: Record<Position['sides'], string> = {
  together: 'both sides together',
  each: 'left, then right',
  crossing: 'one in front, then the other',
  one: 'one side',
};

const QUARTER_WORDS = { in: 'in', holdFull: 'full', out: 'out', holdEmpty: 'empty' } as const;
const THROUGH_WORDS: Readonly<Record<Through, string>> = { left: 'left', right: 'right', nose: '', mouth: 'mouth' };

/** What a phase of a breath is, as it stands under the wave: `in 4 left`, `20 pumps`, `5 breaths`. */
export function phaseWords(phase: BreathPhase): string {
  switch (phase.kind) {
    case 'in':
    case 'holdFull':
    case 'out':
    case 'holdEmpty': {
      // Through which nostril is said where air moves.
      const moves = phase.kind === 'in' || phase.kind === 'out';
      return [QUARTER_WORDS[phase.kind], phase.counts, moves ? THROUGH_WORDS[phase.through] : '']
        .filter(Boolean)
        .join(' ');
    }
    case 'ownPace':
      return `${phase.cycles} ${phase.cycles === 1 ? 'breath' : 'breaths'}`;
    case 'strokes':
      return `${phase.count} pumps`;
    case 'retention':
      return `held ${phase.held}`;
    default:
      return 'recover';
  }
}

/** The rest that usually follows, in words: `0:45 after each side`. */
export const reboundInWords = ({ seconds, when }: Position['rebound']): string =>
  when === 'none' ? 'none' : `${clockOfSeconds(seconds)} after ${when === 'afterEach' ? 'each side' : 'it'}`;
