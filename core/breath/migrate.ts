type Json = Record<string, unknown>;

const PART_DEFAULTS: Readonly<Record<string, Json>> = {
  cycle: { sound: 'none', place: null, locks: [] },
  ownPace: { through: 'nose', sound: 'none', place: null },
};

const isObject = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const listOf = (value: unknown, change: (one: Json) => Json): unknown =>
  Array.isArray(value) ? value.map((one: unknown) => (isObject(one) ? change(one) : one)) : value;

/**
 * A practice of the first version of plans and entries as one of the second: parts tell their sound, place and locks,
 * sets have a change over their rounds and what is said. What does not look like a practice comes back as it is, for
 * the schema to refuse.
 */
export function practiceFromVersion1(practice: unknown): unknown {
  if (!isObject(practice)) return practice;
  return {
    ...practice,
    sets: listOf(practice.sets, (set) => ({
      ramp: null,
      says: '',
      ...set,
      parts: listOf(set.parts, (part) => ({ ...PART_DEFAULTS[String(part.kind)], ...part })),
    })),
  };
}
