import equal from 'fast-deep-equal';

/** Both changed the same thing differently. */
const CONFLICT = Symbol('conflict');
type Merged = unknown;
type Fields = Record<string, unknown>;

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Identifies a thing in a list, if not by its `id`. */
export type KeyOf = (thing: Readonly<Fields>) => string | undefined;
const idOf: KeyOf = ({ id }) => (typeof id === 'string' ? id : undefined);

/** The keys of a list; undefined if two things cannot be distinguished for certain. */
function keysOf(list: readonly unknown[], keyOf: KeyOf): string[] | undefined {
  const keys = list.map((item) => (typeof item === 'string' ? item : isFields(item) ? keyOf(item) : undefined));
  const known = keys.filter((key) => key !== undefined);
  return known.length === list.length && new Set(known).size === list.length ? known : undefined;
}

/** How two changes are put together where they meet. */
interface How {
  keyOf: KeyOf;
  /** Whose value counts where both changed the same thing differently; without it, that is a conflict. */
  prefer: 'mine' | 'theirs' | undefined;
}

/** One place of the three documents, and of the versions of mine that may have come into theirs. */
interface Place {
  base: unknown;
  mine: unknown;
  theirs: unknown;
  sent: readonly unknown[];
}

/** A place that cannot be taken apart further, and where theirs differs from both others. */
function meet({ base, mine, theirs }: Place, { prefer }: How): Merged {
  if (equal(base, mine)) return theirs;
  return prefer === undefined ? CONFLICT : prefer === 'mine' ? mine : theirs;
}

const LISTS = ['base', 'mine', 'theirs'] as const;
type Lists = Record<(typeof LISTS)[number], readonly unknown[]>;

/** The things of a list by their keys. */
const byKey = (list: readonly unknown[], keys: readonly string[]) => new Map(keys.map((key, i) => [key, list[i]]));

/** Which of the two orders a merged list follows: that of the one who moved things; undefined if both did. */
function orderOf(keys: Record<keyof Lists, string[]>, place: Place, how: How): 'mine' | 'theirs' | undefined {
  const [was, my, other] = LISTS.map((list) => new Set(keys[list])) as [Set<string>, Set<string>, Set<string>];
  const common = (of: readonly string[]): string[] => of.filter((key) => was.has(key) && my.has(key) && other.has(key));
  const [order, myOrder, theirOrder] = [common(keys.base), common(keys.mine), common(keys.theirs)];
  if (equal(order, theirOrder) || equal(myOrder, theirOrder)) return equal(order, myOrder) ? 'theirs' : 'mine';
  const isOwn = place.sent.some((one) => {
    const sentKeys = Array.isArray(one) ? keysOf(one, how.keyOf) : undefined;
    return sentKeys !== undefined && equal(common(sentKeys), theirOrder);
  });
  if (isOwn) return 'mine';
  return equal(order, myOrder) ? 'theirs' : how.prefer;
}

/** A list without what one of the two took out, in the order of the one that moved things, with what each put in. */
function mergeLists(place: Place & Lists, how: How): Merged {
  const found = LISTS.map((list) => keysOf(place[list], how.keyOf));
  const [base, mine, theirs] = found;
  if (!base || !mine || !theirs) return meet(place, how);
  const [was, my, other] = [byKey(place.base, base), byKey(place.mine, mine), byKey(place.theirs, theirs)];
  const sent = place.sent.flatMap((one) => {
    const keys = Array.isArray(one) ? keysOf(one, how.keyOf) : undefined;
    return keys ? [byKey(one as unknown[], keys)] : [];
  });

  const merged = new Map<string, unknown>();
  for (const key of new Set([...theirs, ...mine, ...base])) {
    const thing = {
      base: was.get(key),
      mine: my.get(key),
      theirs: other.get(key),
      sent: sent.map((one) => one.get(key)),
    };
    const item = merge(thing, how);
    if (item === CONFLICT) return CONFLICT;
    if (item !== undefined) merged.set(key, item);
  }
  const order = orderOf({ base, mine, theirs }, place, how);
  if (!order) return CONFLICT;
  const [first, second] = order === 'mine' ? [mine, theirs] : [theirs, mine];
  const placed = first.filter((key) => merged.has(key));
  second.forEach((key, i) => {
    if (!merged.has(key) || placed.includes(key)) return;
    const before = second.slice(0, i).findLast((one) => placed.includes(one));
    placed.splice(before === undefined ? 0 : placed.indexOf(before) + 1, 0, key);
  });
  return placed.map((key) => merged.get(key));
}

function merge(place: Place, how: How): Merged {
  const { base, mine, theirs, sent } = place;
  if (equal(mine, theirs) || equal(base, theirs)) return mine;
  // What was sent from here and never answered has come into theirs: whatever is here since is newer.
  if (sent.some((one) => equal(one, theirs))) return mine;
  if (sent.length === 0 && equal(base, mine)) return theirs;
  if (Array.isArray(base) && Array.isArray(mine) && Array.isArray(theirs)) {
    return mergeLists({ base, mine, theirs, sent }, how);
  }
  if (!isFields(base) || !isFields(mine) || !isFields(theirs)) return meet(place, how);
  const merged: Fields = {};
  for (const key of new Set([...Object.keys(theirs), ...Object.keys(mine)])) {
    const sentFields = sent.filter(isFields).map((one) => one[key]);
    const value = merge({ base: base[key], mine: mine[key], theirs: theirs[key], sent: sentFields }, how);
    if (value === CONFLICT) return CONFLICT;
    if (value !== undefined) merged[key] = value;
  }
  return merged;
}

export interface MergeOptions {
  /** Identifies the things in its lists, if not by their id. */
  keyOf?: KeyOf | undefined;
  /** Whose value counts where both changed the same thing differently. */
  prefer?: 'mine' | 'theirs';
  /** Versions of mine that were sent and not answered: where theirs has a value of one of them, it came from here. */
  sent?: readonly unknown[];
}

/**
 * Puts together two changes that were made to one version of a document at the same time: field by field, and in lists
 * of words or of things with a key thing by thing. Undefined if both changed the same thing differently and nobody
 * is preferred, so that somebody has to choose. The document is JSON.
 */
export function mergeChanges<T>(base: T, mine: T, theirs: T, options: MergeOptions = {}): T | undefined {
  const { keyOf = idOf, prefer, sent = [] } = options;
  const merged = merge({ base, mine, theirs, sent }, { keyOf, prefer });
  return merged === CONFLICT ? undefined : (merged as T);
}
