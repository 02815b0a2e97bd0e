import type { Flexibility, Strains } from '#core/body';
import type { Library, Position, Technique } from '#core/catalogue';
import type { Person } from '#core/people';
import type { SetUp } from '#core/props';
import type { Condition } from './condition';
import type { Rule } from './rule';

/** A body that a set-up is measured on, where it is another than the standard one. */
export interface Body {
  statureCm: number | null;
  flexibility: Flexibility | null;
}

/** The body of a person as far as it is known, to the nearest 5 cm and 5°; undefined if nothing of it is. */
export function bodyOf({
  statureCm,
  flexibility,
}: Partial<Pick<Person, 'statureCm' | 'flexibility'>>): Body | undefined {
  if (!statureCm && !flexibility) return undefined;
  const near = (value: number): number => Math.round(value / 5) * 5;
  return {
    statureCm: statureCm ? near(statureCm) : null,
    flexibility: flexibility
      ? {
          hipFold: near(flexibility.hipFold),
          kneeOpening: near(flexibility.kneeOpening),
          shoulder: near(flexibility.shoulder),
        }
      : null,
  };
}

/** The knowledge that screening uses. */
export interface Knowledge {
  conditions: readonly Condition[];
  rules: readonly Rule[];
  library: Library;
  /** What alternatives may be chosen from. */
  positions: readonly Position[];
  techniques: readonly Technique[];
  /**
   * What a position measures in a set-up, on a body: one measure, or where that is not known yet one for each way in
   * which it may lie; none where nothing is known, and what the entry states counts.
   */
  strains(position: Position, setUp: SetUp, body?: Body): readonly Strains[];
}

/** The parts of a set-up that affect how the body lies. */
const shapeOf = (setUp: SetUp): string =>
  JSON.stringify(
    setUp
      .filter(({ optional }) => !optional)
      .map(({ kind, state, lie, place, side, count }) => [kind, state, lie, place, side, count].join())
      .sort(),
  );

/** A position in a set-up, on a body: what is measured once, wherever it is met. */
export interface ToMeasure {
  key: string;
  position: Position;
  setUp: SetUp;
  body: Body | undefined;
}

/**
 * Strains by a table of the named set-ups on the standard body, by position and set-up, and by what was measured
 * elsewhere, where a set-up or a body is another. What is not measured yet is taken as each of the position's set-ups, so
 * that nothing is missed meanwhile; another body as the standard one. Looked up once for each set-up.
 * @param measured what was measured of it; undefined if it was not yet
 */
export function strainsFrom(
  table: (position: string, setUp: string) => Strains | undefined,
  measured: (wanted: ToMeasure) => Strains | undefined = () => undefined,
): Knowledge['strains'] {
  const known = new WeakMap<SetUp, Map<string, readonly Strains[]>>();
  const keys = new WeakMap<Body, string>();
  const keyOf = (body: Body | undefined): string => {
    if (!body) return '';
    const text = keys.get(body) ?? JSON.stringify(body);
    keys.set(body, text);
    return text;
  };
  const find = (position: Position, setUp: SetUp, body: Body | undefined): readonly Strains[] => {
    const shape = shapeOf(setUp);
    const named = position.setUps.find(({ items }) => shapeOf(items) === shape);
    const tabled = position.setUps.flatMap(({ id }) => table(position.id, id) ?? []);
    const standard = named && table(position.id, named.id);
    if (standard && !body) return [standard];
    // A custom entry can be drawn anew: what was measured of it is kept with its figure.
    const figure = tabled.length > 0 ? '' : JSON.stringify(position.figure);
    const own = measured({ key: [position.id, shape, keyOf(body), figure].join(' '), position, setUp, body });
    if (own) return [own];
    return standard ? [standard] : tabled;
  };
  return (position, setUp, body) => {
    const ofSetUp = known.get(setUp) ?? new Map<string, readonly Strains[]>();
    known.set(setUp, ofSetUp);
    const key = body ? `${position.id} ${keyOf(body)}` : position.id;
    const found = ofSetUp.get(key) ?? find(position, setUp, body);
    ofSetUp.set(key, found);
    return found;
  };
}
