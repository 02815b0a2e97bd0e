import {
  familyLabel,
  findPositions,
  matchScore,
  nameLikeness,
  NOTHING_CHOSEN,
  type Approach,
  type ClassWhere,
  type EntryWords,
  type Position,
  type Technique,
} from '#core/catalogue';
import {
  breathFrom,
  holdDefaults,
  holdFrom,
  holdNamed,
  moveStep,
  restStep,
  talkStep,
  type Side,
  type Step,
} from '#core/plan';
import { DEFAULT_RULES } from '#core/timeline';
import { clockOfSeconds } from '#core/time';

/** Something that can be added to a plan. */
export interface Suggestion {
  name: string;
  says: string;
  /** Drawn beside its name. */
  position?: Position;
  /** An entry of the teacher's own. */
  yours?: boolean;
  /** A new step with its id, as it usually is in the approach of a plan and where the class takes place. */
  make: (id: string, approach: Approach, where: ClassWhere | null) => Step;
}

interface Entry extends Suggestion {
  names: string[];
}

/** The entries to choose from. */
export interface Offer {
  positions: readonly Position[];
  techniques: readonly Technique[];
  isYours: (id: string) => boolean;
  /** What else an entry is called. */
  words: EntryWords;
}

/** A new step that begins with the side one usually begins with. */
export const beginningWith = (step: Step, side: Side): Step =>
  step.kind === 'hold' &&
  (step.sides.kind === 'each' || step.sides.kind === 'crossing') &&
  side !== DEFAULT_RULES.firstSide
    ? { ...step, sides: { ...step.sides, first: side } }
    : step;

/** The entries whose names are nearest to what was typed. */
const nearest = (wanted: string, entries: readonly Entry[]): Entry[] =>
  entries
    .map((entry) => ({ entry, alike: nameLikeness(wanted, entry.names) }))
    .filter(({ alike }) => alike >= ALIKE)
    .sort((a, b) => b.alike - a.alike)
    .slice(0, NEAREST)
    .map(({ entry }) => entry);

const PLAIN: Entry[] = [
  { name: 'Rest', says: 'a still rest, 1:00', names: ['Rest', 'Pause', 'Stillness'], make: (id) => restStep(id) },
  {
    name: 'Release',
    says: 'a short release, 0:45',
    names: ['Loosen', 'Release', 'Move', 'Shake'],
    make: (id) => moveStep(id),
  },
  {
    name: 'Talk',
    says: 'arrive, explain, close, 1:00',
    names: ['Talk', 'Arrive', 'Close', 'Speak'],
    make: (id) => talkStep(id),
  },
];

const entriesOf = ({ positions, techniques, isYours, words: { alsoCalled } }: Offer): Entry[] => [
  ...positions.map((position) => {
    const { english, sanskrit, yin } = position.names;
    const sides = { together: 'both sides', each: 'each side', crossing: 'crossing', one: 'one side' }[position.sides];
    const { seconds } = holdDefaults(position, 'blended');
    return {
      name: english,
      says: [sanskrit, yin, familyLabel(position.family), `${sides}, about ${clockOfSeconds(seconds)}`]
        .filter(Boolean)
        .join(' · '),
      names: [english, sanskrit, yin, position.short, ...alsoCalled(position.id)],
      position,
      yours: isYours(position.id),
      make: (id: string, approach: Approach, where: ClassWhere | null) => holdFrom(position, approach, id, where),
    };
  }),
  ...techniques.map((technique) => ({
    name: technique.names.english,
    says: [technique.names.sanskrit, technique.round].filter(Boolean).join(' · '),
    names: [technique.names.english, technique.names.sanskrit, technique.short, 'breath', ...alsoCalled(technique.id)],
    yours: isYours(technique.id),
    make: (id: string) => breathFrom(technique, id),
  })),
  ...PLAIN,
];

/** At least so alike, from 0 to 1, is what may have been meant where nothing matches. */
const ALIKE = 0.6;
const NEAREST = 3;

/**
 * What can be added for what was typed, best first; everything while nothing is typed. Where nothing matches, the
 * nearest three that may have been meant. An unknown name can be added as a custom hold.
 */
export function suggestSteps(query: string, offer: Offer): Suggestion[] {
  const wanted = query.trim();
  const entries = entriesOf(offer);
  if (wanted === '') return entries;
  const found = entries
    .map((entry) => ({ entry, score: matchScore(wanted, entry.names) }))
    .filter(({ score }) => score > 0)
    .sort((a, b) => b.score - a.score || a.entry.name.length - b.entry.name.length)
    .map(({ entry }) => entry);
  // Then what the library's search finds by a part of the body or a prop.
  const byName = new Set(found.map(({ position }) => position));
  const alsoFound = findPositions(offer.positions, wanted, NOTHING_CHOSEN, offer.words)
    .filter((position) => !byName.has(position))
    .flatMap((position) => entries.find((entry) => entry.position === position) ?? []);
  const name = wanted.slice(0, 120);
  const own: Suggestion = {
    name: `“${name}”`,
    says: 'Add as a custom hold: no picture, and not screened for cautions',
    make: (id) => holdNamed(name, id),
  };
  const matching = [...found, ...alsoFound];
  const all = matching.length > 0 ? matching : nearest(wanted, entries);
  return found.some((entry) => matchScore(wanted, entry.names) === 4) ? all : [...all, own];
}
