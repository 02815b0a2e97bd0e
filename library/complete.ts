import { Position, Technique } from '#core/catalogue';
import { fieldIssues } from '#core/document';

/** One thing that the library that ships has to correct, as `head-to-knee: waysIn: at least two sentences`. */
type Wrong = string;

interface Missing {
  field: string;
  reason: string;
}

const needs = (field: string, there: boolean, reason = 'needed'): Missing[] => (there ? [] : [{ field, reason }]);
const filled = <T extends object>(entry: T, fields: readonly (keyof T & string)[]): Missing[] =>
  fields.flatMap((field) => needs(field, String(entry[field]).trim() !== ''));

function missingInPosition(entry: Position, ids: ReadonlySet<string>): Missing[] {
  const { setUps, sides, leftMeans, waysIn, waysOut, prompts } = entry;
  const shown = (['easier', 'stronger'] as const).flatMap((name) => {
    const { words, setUp, position } = entry[name];
    return [
      ...needs(name, words !== ''),
      ...needs(name, (setUp === undefined) !== (position === undefined), 'shown by a set-up or by another position'),
      ...needs(`${name}.position`, position === undefined || ids.has(position), `no position “${position}”`),
    ];
  });
  const whys = setUps.flatMap(({ id, items }) =>
    items.flatMap((row) => needs(`setUps.${id}.${row.id}.why`, row.why !== '')),
  );
  return [
    ...filled(entry, ['aims', 'caution', 'loosen', 'answer']),
    ...needs(
      'leftMeans',
      (leftMeans !== '') === (sides !== 'together'),
      'needed where there are sides, and only there',
    ),
    ...needs(
      'setUps',
      setUps.some(({ home }) => home),
      'one made of things found at home',
    ),
    ...needs(
      'setUps',
      setUps.some(({ home }) => !home),
      'one with the props of a studio',
    ),
    ...needs('waysIn', waysIn.length >= 2, 'at least two sentences'),
    ...needs('waysOut', waysOut.length >= 1, 'at least one sentence'),
    ...needs('prompts', prompts.length >= 1, 'at least one'),
    ...shown,
    ...whys,
  ];
}

const missingInTechnique = (entry: Technique): Missing[] => [
  ...filled(entry, ['gates', 'seat', 'mistakes', 'caution']),
  ...needs('taught', entry.taught.length >= 2, 'at least two steps'),
  ...needs('round', entry.round.startsWith('1 round = '), 'begins with “1 round = ”'),
];

const describe = (id: string, wrong: readonly Missing[]): Wrong[] =>
  wrong.map(({ field, reason }) => `${id}: ${field}: ${reason}`);

/**
 * What is wrong with a library that is to ship: entries that do not fit their schema, lack what a custom entry may
 * leave empty, point at what is not there, or share an id. Each with the entry and the field; empty when all is well.
 */
export function libraryProblems(positions: readonly unknown[], techniques: readonly unknown[]): Wrong[] {
  const idOf = (entry: unknown): string => String((entry as { id?: unknown } | null)?.id ?? 'an entry without an id');
  const positionIds = new Set(positions.map(idOf));
  const seen = new Set<string>();
  const twice = [...positions, ...techniques].map(idOf).filter((id) => seen.has(id) || !seen.add(id));
  const check = <T>(
    schema: typeof Position | typeof Technique,
    entry: unknown,
    missing: (entry: T) => Missing[],
  ): Wrong[] => {
    const parsed = schema.safeParse(entry);
    return describe(idOf(entry), parsed.success ? missing(parsed.data as T) : fieldIssues(parsed.error));
  };
  return [
    ...positions.flatMap((entry) => check<Position>(Position, entry, (one) => missingInPosition(one, positionIds))),
    ...techniques.flatMap((entry) => check<Technique>(Technique, entry, missingInTechnique)),
    ...twice.map((id) => `${id}: id: there are two entries with this id`),
  ];
}
