import equal from 'fast-deep-equal';

/** Both changed the same thing, and differently. */
const CONFLICT = Symbol('conflict');
type Merged = unknown;
type Fields = Record<string, unknown>;

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** By what a thing in a list is known among the others, where it is known by something else than its `id`. */
export type KeyOf = (thing: Readonly<Fields>) => string | undefined;
const idOf: KeyOf = ({ id }) => (typeof id === 'string' ? id : undefined);

/** The keys of a list; undefined where one thing cannot be told from another for sure. */
function keysOf(list: readonly unknown[], keyOf: KeyOf): string[] | undefined {
  const keys = list.map((item) => (typeof item === 'string' ? item : isFields(item) ? keyOf(item) : undefined));
  const known = keys.filter((key) => key !== undefined);
  return known.length === list.length && new Set(known).size === list.length ? known : undefined;
}

/** A list without what one of the two took out, in the order of the one that moved things, with what each put in. */
function mergeLists(
  base: readonly unknown[],
  mine: readonly unknown[],
  theirs: readonly unknown[],
  keyOf: KeyOf,
): Merged {
  const keys = { base: keysOf(base, keyOf), mine: keysOf(mine, keyOf), theirs: keysOf(theirs, keyOf) };
  if (!keys.base || !keys.mine || !keys.theirs) return CONFLICT;
  const at = (list: readonly unknown[], of: readonly string[]) => new Map(of.map((key, i) => [key, list[i]]));
  const [was, my, other] = [at(base, keys.base), at(mine, keys.mine), at(theirs, keys.theirs)];

  const merged = new Map<string, unknown>();
  for (const key of new Set([...keys.theirs, ...keys.mine, ...keys.base])) {
    const item = merge(was.get(key), my.get(key), other.get(key), keyOf);
    if (item === CONFLICT) return CONFLICT;
    if (item !== undefined) merged.set(key, item);
  }
  const common = (of: readonly string[]): string[] => of.filter((key) => was.has(key) && my.has(key) && other.has(key));
  const [order, myOrder, theirOrder] = [common(keys.base), common(keys.mine), common(keys.theirs)];
  const moved = !equal(order, myOrder);
  if (moved && !equal(order, theirOrder) && !equal(myOrder, theirOrder)) return CONFLICT;
  const [first, second] = moved ? [keys.mine, keys.theirs] : [keys.theirs, keys.mine];
  const placed = first.filter((key) => merged.has(key));
  second.forEach((key, i) => {
    if (!merged.has(key) || placed.includes(key)) return;
    const before = second.slice(0, i).findLast((one) => placed.includes(one));
    placed.splice(before === undefined ? 0 : placed.indexOf(before) + 1, 0, key);
  });
  return placed.map((key) => merged.get(key));
}

function merge(base: unknown, mine: unknown, theirs: unknown, keyOf: KeyOf): Merged {
  if (equal(mine, theirs) || equal(base, theirs)) return mine;
  if (equal(base, mine)) return theirs;
  if (Array.isArray(base) && Array.isArray(mine) && Array.isArray(theirs)) return mergeLists(base, mine, theirs, keyOf);
  if (!isFields(base) || !isFields(mine) || !isFields(theirs)) return CONFLICT;
  const merged: Fields = {};
  for (const key of new Set([...Object.keys(theirs), ...Object.keys(mine)])) {
    const value = merge(base[key], mine[key], theirs[key], keyOf);
    if (value === CONFLICT) return CONFLICT;
    if (value !== undefined) merged[key] = value;
  }
  return merged;
}

/**
 * What comes of two changes that were made to one version of a document at the same time: field by field, and in lists of
 * words or of things with a key thing by thing. Undefined where both changed the same thing differently, so that somebody
 * has to choose. The document is JSON.
 */
export function mergeChanges<T>(base: T, mine: T, theirs: T, keyOf: KeyOf = idOf): T | undefined {
  const merged = merge(base, mine, theirs, keyOf);
  return merged === CONFLICT ? undefined : (merged as T);
}
