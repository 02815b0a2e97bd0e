import { breathProgram } from '#core/breath';
import type { Position, Technique } from '#core/catalogue';
import type { PositionSides } from './class-state';
import type { DescribedEntry } from './descriptions';
import type { BreathHolds } from './evidence';
import type { PositionPlace } from './setting';
import type { CalledEntry } from './spoken-names';

/** What has to be known of a library entry to find it in captions. */
export type SpokenEntry = CalledEntry & DescribedEntry & PositionSides & PositionPlace & BreathHolds;

/** The entries a class may have, with what else they are called. */
interface Entries {
  positions: readonly Position[];
  techniques: readonly Technique[];
  alsoCalled: (id: string) => readonly string[];
  /** How else its way in is said. */
  spokenWaysIn: (id: string) => readonly string[];
}

/** What has to be known of the entries of a library to find them in captions. */
export function spokenEntries({ positions, techniques, alsoCalled, spokenWaysIn }: Entries): SpokenEntry[] {
  const holds = positions.map((position): SpokenEntry => {
    const { id, names, sides, leftMeans, waysIn, family } = position;
    const called = [names.english, names.sanskrit, names.yin, ...alsoCalled(id)].filter(Boolean);
    return {
      id,
      kind: 'hold',
      names: called,
      descriptions: [...called, ...waysIn, leftMeans, ...spokenWaysIn(id)],
      isSided: sides !== 'together',
      leftMeans,
      family,
      holdsBreath: { full: false, empty: false },
    };
  });
  const breaths = techniques.map((technique): SpokenEntry => {
    const { id, names, practice } = technique;
    const held = breathProgram(practice).flatMap((phase) => (phase.kind === 'retention' ? [phase.held] : [phase.kind]));
    return {
      id,
      kind: 'breath',
      names: [names.english, names.sanskrit, ...alsoCalled(id)].filter(Boolean),
      descriptions: [],
      isSided: false,
      leftMeans: '',
      family: '',
      holdsBreath: {
        full: held.includes('holdFull') || held.includes('full'),
        empty: held.includes('holdEmpty') || held.includes('empty'),
      },
    };
  });
  return [...holds, ...breaths];
}
