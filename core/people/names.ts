/** The letters that stand for a name: of each of its words the first so many. */
function lettersOf(name: string, ofLast: number): string {
  const words = name.split(/[\s-]+/).filter((word) => /^[\p{L}\p{N}]/u.test(word));
  const kept = words.slice(0, 3);
  return kept
    .map((word, i) => word.charAt(0).toUpperCase() + (i === kept.length - 1 ? word.slice(1, ofLast) : ''))
    .join('');
}

/** A name as its first letters, for where others can read it: `Ines Harrowgate` becomes `IH`. */
export const initials = (name: string): string => lettersOf(name, 1) || '?';

/**
 * Initials of some people that tell them apart: where two have the same, so many more letters of the last name as it
 * takes (`MaHa`, `MaHo`), and a number where the names are the same. By id.
 */
export function initialsOf(people: readonly { id: string; name: string }[]): Map<string, string> {
  const shown = new Map(people.map(({ id, name }) => [id, initials(name)]));
  const same = (): { id: string; name: string }[][] => {
    const by = new Map<string, { id: string; name: string }[]>();
    for (const one of people) {
      const key = shown.get(one.id) ?? '';
      by.set(key, [...(by.get(key) ?? []), one]);
    }
    return [...by.values()].filter(({ length }) => length > 1);
  };
  for (let letters = 2; letters <= 4; letters++) {
    for (const alike of same()) for (const { id, name } of alike) shown.set(id, lettersOf(name, letters) || '?');
  }
  for (const alike of same()) {
    for (const [i, { id }] of alike.entries()) if (i > 0) shown.set(id, `${shown.get(id)}${i + 1}`);
  }
  return shown;
}

const plain = (name: string): string =>
  name
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .split(/\s+/)
    .filter(Boolean)
    .join(' ');

/** Someone of the same name, whatever its case, accents and blanks; undefined if there is none. */
export const namesake = <T extends { name: string }>(name: string, people: readonly T[]): T | undefined =>
  people.find((one) => plain(one.name) === plain(name));
