import { matchScore, nameLikeness } from '#core/catalogue';

/** Something that can be gone to or done from anywhere. */
export interface Findable {
  /** What it is: position, breath, plan, person … */
  kind: string;
  label: string;
  /** What else it is found by. */
  names?: readonly string[];
  /** Where it is, or what it does. */
  to: string | (() => void);
}

const MAX_FOUND = 14;
/** Where nothing matches, the nearest three that are at least so alike, from 0 to 1. */
const NEAREST = 3;
const ALIKE = 0.6;

const namesOf = ({ label, names = [] }: Findable): readonly string[] => [label, ...names];

/** What was meant, best match first; of equal matches the shorter name. Nothing while nothing is typed. */
export function findAnything(query: string, all: readonly Findable[]): Findable[] {
  const wanted = query.trim();
  if (wanted === '') return [];
  const best = (score: (names: readonly string[]) => number, least: number, most: number): Findable[] =>
    all
      .map((one) => ({ one, score: score(namesOf(one)) }))
      .filter((scored) => scored.score >= least && scored.score > 0)
      .sort((a, b) => b.score - a.score || a.one.label.length - b.one.label.length)
      .slice(0, most)
      .map(({ one }) => one);
  const found = best((names) => matchScore(wanted, names), 0, MAX_FOUND);
  return found.length > 0 ? found : best((names) => nameLikeness(wanted, names), ALIKE, NEAREST);
}
