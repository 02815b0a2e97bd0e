import type { CustomEntry } from './custom-entry';
import type { Position } from './position';
import type { Technique } from './technique';

/** What core asks of a library: its entries by id, undefined if it has none. */
export interface Library {
  position(id: string): Position | undefined;
  technique(id: string): Technique | undefined;
}

/** A library over lists of entries; of two with the same id the later one counts. */
export function libraryOf(positions: readonly Position[], techniques: readonly Technique[]): Library {
  const positionById = new Map(positions.map((entry) => [entry.id, entry]));
  const techniqueById = new Map(techniques.map((entry) => [entry.id, entry]));
  return { position: (id) => positionById.get(id), technique: (id) => techniqueById.get(id) };
}

/** A library in which custom entries come before those of another library. */
export function withCustomEntries(base: Library, own: readonly CustomEntry[]): Library {
  const mine = libraryOf(
    own.flatMap((one) => (one.kind === 'position' ? [one.entry] : [])),
    own.flatMap((one) => (one.kind === 'technique' ? [one.entry] : [])),
  );
  return {
    position: (id) => mine.position(id) ?? base.position(id),
    technique: (id) => mine.technique(id) ?? base.technique(id),
  };
}

const SAME_FAMILY_WORDS: Record<string, string> = { sideLying: 'side lying', wall: 'at the wall' };

/** A family in words: `supine`, `side lying`, `at the wall`. */
export const familyLabel = (family: Position['family']): string => SAME_FAMILY_WORDS[family] ?? family;
