import { fitBreath, practiceMs, type BreathPractice } from '#core/breath';
import { breathSeats, likeness, type Approach, type Position, type Technique } from '#core/catalogue';
import { breathFrom, holdFrom, restStep, sideSeconds, type BreathStep, type HoldStep, type Step } from '#core/plan';
import { propKind, type SetUp } from '#core/props';
import type { Body, Knowledge } from './knowledge';
import type { Level } from './rule';
import { screenStep, wholeCaution, type ActiveRule, type Caution } from './screen';
import { seatsOf } from './seats';
import { demandsOf, liesOnBody } from './traits';

/**
 * An alternative for someone: a step that can replace another and needs no change or omission.
 */
export interface Easier {
  /** Another set-up, the same without something, another position or technique, or a rest in its place. */
  kind: 'setUp' | 'without' | 'position' | 'technique' | 'rest';
  step: Step;
  /** In a few words: `Calves on a chair, on a chair`. */
  words: string;
  /** What remains to be watched; null if nothing does. */
  level: Extract<Level, 'watch'> | null;
  cautions: readonly Caution[];
}

interface EasierOptions {
  approach: Approach;
  /** Whether the props of a set-up are at hand; without it they are taken to be. */
  atHand?: (setUp: SetUp) => boolean;
  /** Whose body it is, where it is known. */
  body?: Body | undefined;
  /** What others in the room do in the place of this step, by position: of two ways that are as good, that one. */
  others?: ReadonlySet<string>;
}

interface Candidate {
  kind: Easier['kind'];
  step: Step;
  words: string;
  /** How close it is to the original; the highest first. */
  score: number;
}

const MOST: Record<Easier['kind'], number> = { without: 2, setUp: 2, position: 3, technique: 2, rest: 1 };
/**
 * The base score of an alternative before likeness: whether the step stays the same, and whether a rule or the entry
 * names it.
 */
const WORTH = {
  same: 1.6,
  named: 0.4,
  first: 0.3,
  variation: 0.6,
  samePlace: 0.3,
  others: 0.02,
  watch: -0.5,
  rest: -9,
} as const;
/** Where one is in the room: a way out that needs no getting up or lying down is nearer. */
const LYING: ReadonlySet<Position['family']> = new Set(['supine', 'prone', 'sideLying', 'wall']);
const samePlace = (a: Position, b: Position): boolean => LYING.has(a.family) === LYING.has(b.family);

/** A practice without holds, pumps and locks; undefined if nothing is left. */
export function withoutHolding(practice: BreathPractice): BreathPractice | undefined {
  const sets = practice.sets.flatMap((set) => {
    const parts = set.parts.flatMap((part): typeof set.parts => {
      if (part.kind === 'strokes' || part.kind === 'retention') return [];
      return [part.kind === 'cycle' ? { ...part, holdFull: 0, holdEmpty: 0, locks: [] } : part];
    });
    const breathes = parts.some(({ kind }) => kind !== 'recover');
    const ramp = set.ramp && (set.ramp.of === 'in' || set.ramp.of === 'out') ? set.ramp : null;
    return breathes ? [{ ...set, parts, ramp }] : [];
  });
  return sets.length > 0 ? { ...practice, sets } : undefined;
}

/** A practice for about as long as another: whole rounds, never longer; as it is where it does not fit. */
function asLongAs(practice: BreathPractice, seconds: number): BreathPractice {
  const fit = fitBreath(practice, seconds);
  return fit.ok ? fit.practice : practice;
}

/** Another position in the place of a hold: in one of its set-ups, as long on each side as was meant. */
function heldInstead(step: HoldStep, position: Position, setUp: SetUp, approach: Approach): HoldStep {
  const fresh = holdFrom(position, approach, step.id);
  const { left, right } = sideSeconds(step.sides);
  const seconds = Math.max(left, right);
  const sides: HoldStep['sides'] =
    'length' in fresh.sides ? { ...fresh.sides, length: { kind: 'even', seconds } } : { ...fresh.sides, seconds };
  return { ...fresh, sides, setUp, stages: [], breath: step.breath, range: null, note: step.note };
}

/** What a rule would have people try before anything else; of several rules the most careful one. */
const firstOf = (named: ReadonlySet<string>): string | undefined => [...named][0];

const lower = (name: string): string => name.charAt(0).toLowerCase() + name.slice(1);

function waysOfHold(
  step: HoldStep,
  named: ReadonlySet<string>,
  knowledge: Knowledge,
  { approach, atHand, others }: EasierOptions,
): Candidate[] {
  const here = knowledge.library.position(step.position);
  const can = (setUp: SetUp): boolean => atHand?.(setUp) ?? true;
  const asBefore = { ...step, otherSetUp: null };
  const setUps = (here?.setUps ?? [])
    .filter(({ items }) => JSON.stringify(items) !== JSON.stringify(step.setUp) && can(items))
    .map(({ id, name, items }): Candidate => ({
      kind: 'setUp',
      step: { ...asBefore, setUp: items, stages: step.stages.map((stage) => ({ ...stage, setUp: null })) },
      words: `${step.name}: ${lower(name)}`,
      score: WORTH.same + (here?.easier.setUp === id ? WORTH.variation : 0),
    }));
  const onBody = [...new Set(step.setUp.filter(liesOnBody).map(({ kind }) => kind))];
  const uncovered = [...onBody.map((kind) => [kind]), ...(onBody.length > 1 ? [onBody] : [])].map(
    (kinds): Candidate => ({
      kind: 'without',
      step: {
        ...asBefore,
        setUp: step.setUp.filter((row) => !liesOnBody(row) || !kinds.includes(row.kind)),
        stages: step.stages.map((stage) => ({ ...stage, setUp: null })),
      },
      words: `${step.name}, without the ${kinds.map((kind) => propKind(kind).label).join(' and the ')}`,
      score: WORTH.same + 0.3 - kinds.length * 0.01,
    }),
  );
  const quiet = step.breath && withoutHolding(step.breath.practice);
  const without: Candidate[] = step.breath
    ? [
        ...(quiet
          ? [
              {
                kind: 'without' as const,
                step: { ...asBefore, breath: { ...step.breath, practice: quiet } },
                words: `${step.name}, the breath without holding`,
                score: WORTH.same + 0.2,
              },
            ]
          : []),
        {
          kind: 'without',
          step: { ...asBefore, breath: null },
          words: `${step.name}, breathing as it comes`,
          score: WORTH.same,
        },
      ]
    : [];
  const positions = knowledge.positions
    .filter(({ id, defaults }) => id !== step.position && (defaults[approach] ?? named.has(id)))
    .flatMap((position) => {
      const like = here ? likeness(here, position) : 0;
      const isVariation = here?.easier.position === position.id;
      if (like === 0 && !named.has(position.id) && !isVariation) return [];
      // For a rest on the floor nobody is sent to sit up, unless a rule or the entry says so.
      if (here && LYING.has(here.family) && !samePlace(here, position) && !named.has(position.id) && !isVariation)
        return [];
      const score =
        like +
        (named.has(position.id) ? WORTH.named : 0) +
        (firstOf(named) === position.id ? WORTH.first : 0) +
        (isVariation ? WORTH.variation : 0) +
        (here && samePlace(here, position) ? WORTH.samePlace : 0) +
        (others?.has(position.id) ? WORTH.others : 0);
      return position.setUps
        .filter(({ items }) => can(items))
        .map(({ name, items }, i): Candidate => ({
          kind: 'position',
          step: heldInstead(step, position, items, approach),
          words: `${position.names.english}: ${lower(name)}`,
          // A position is offered once, in the first of its set-ups that will do.
          score: score - i * 0.01,
        }));
    });
  return [...setUps, ...uncovered, ...without, ...positions];
}

/** The same breath in each of the other seats it can be practised in, as it is and without holding. */
function otherSeats(
  step: BreathStep,
  quiet: BreathPractice | undefined,
  knowledge: Knowledge,
  { atHand }: EasierOptions,
): Candidate[] {
  if (step.moves) return [];
  const here = seatsOf(step, knowledge.library, knowledge.positions);
  return breathSeats(knowledge.positions).flatMap((seat) =>
    seat.setUps
      .filter(({ items }) => atHand?.(items) ?? true)
      .flatMap(({ name, items }, i): Candidate[] => {
        const seated = { ...step, otherSetUp: null, seat: seat.id, setUp: items };
        const where = `${lower(seat.names.english)}, ${lower(name)}`;
        const score = WORTH.same + (here.some((one) => samePlace(one, seat)) ? WORTH.samePlace : 0) - i * 0.01;
        return [
          { kind: 'setUp', step: seated, words: `${step.name}: ${where}`, score },
          ...(quiet
            ? [
                {
                  kind: 'setUp' as const,
                  step: { ...seated, practice: quiet },
                  words: `${step.name}, without holding: ${where}`,
                  score: score - 0.2,
                },
              ]
            : []),
        ];
      }),
  );
}

function waysOfBreath(
  step: BreathStep,
  named: ReadonlySet<string>,
  knowledge: Knowledge,
  options: EasierOptions,
): Candidate[] {
  const seconds = practiceMs(step.practice) / 1000;
  const asBefore = { ...step, otherSetUp: null };
  const quiet = withoutHolding(step.practice);
  const without: Candidate[] = [
    ...(quiet
      ? [
          {
            kind: 'without' as const,
            step: { ...asBefore, practice: asLongAs(quiet, seconds) },
            words: `${step.name}, without holding`,
            score: WORTH.same + WORTH.samePlace + 0.1,
          },
        ]
      : []),
    ...(step.moves
      ? [
          {
            kind: 'without' as const,
            step: { ...asBefore, moves: null },
            words: 'The breath alone, without moving',
            score: WORTH.same + 0.1,
          },
        ]
      : []),
    ...(step.moves && quiet
      ? [
          {
            kind: 'without' as const,
            step: { ...asBefore, moves: null, practice: asLongAs(quiet, seconds) },
            words: 'The breath alone, without moving or holding',
            score: WORTH.same - 0.1,
          },
        ]
      : []),
  ];
  const here = knowledge.library.technique(step.technique);
  const techniques = knowledge.techniques
    .filter(({ id }) => id !== step.technique)
    .map((technique): Candidate => {
      const fresh = breathFrom(technique, step.id);
      return {
        kind: 'technique',
        step: {
          ...fresh,
          practice: asLongAs(fresh.practice, seconds),
          seat: step.seat,
          setUp: step.setUp,
          note: step.note,
        },
        words: technique.names.english,
        score: (named.has(technique.id) ? WORTH.named : 0) + alike(here, technique),
      };
    });
  return [...without, ...techniques, ...otherSeats(step, quiet && asLongAs(quiet, seconds), knowledge, options)];
}

/** Shares of what two techniques ask. */
function alike(a: Technique | undefined, b: Technique): number {
  if (!a) return 0;
  const all = new Set([...a.traits, ...b.traits]);
  return all.size === 0 ? 0.1 : a.traits.filter((trait) => b.traits.includes(trait)).length / all.size;
}

/**
 * Easier ways in the place of a step for whom these rules apply, the nearest first: the same in another set-up or
 * without something, another position or technique that is like it, in the same place in the room, or that a rule names.
 * Only what asks for no change any more, and that by a margin; nothing to watch before something to watch. A rest, as is
 * easy, is always the last. `active` as given by `rulesOf`.
 */
export function modifications(
  step: Step,
  active: readonly ActiveRule[],
  knowledge: Knowledge,
  options: EasierOptions,
): Easier[] {
  if (step.kind !== 'hold' && step.kind !== 'breath') return [];
  const { cautions } = screenStep(step, demandsOf(step, knowledge, options.body), active);
  const named = new Set(
    cautions
      .flatMap(wholeCaution)
      .flatMap(({ rule: { instead } }) => [...(instead.positions ?? []), ...(instead.techniques ?? [])]),
  );
  const candidates =
    step.kind === 'hold' ? waysOfHold(step, named, knowledge, options) : waysOfBreath(step, named, knowledge, options);
  const resting: Candidate = {
    kind: 'rest',
    step: { ...restStep(step.id, 'Rest, as is easy'), setUp: [], note: step.note },
    words: 'Rest, as is easy',
    score: WORTH.rest,
  };
  const clean = [...candidates, resting]
    .flatMap((candidate) => {
      const found = screenStep(candidate.step, demandsOf(candidate.step, knowledge, options.body), active);
      const careful = screenStep(candidate.step, demandsOf(candidate.step, knowledge, options.body, true), active);
      if ([found.level, careful.level].some((level) => level === 'avoid' || level === 'change')) return [];
      const left = found.level === 'watch' ? found.level : null;
      const score = candidate.score + (left === null ? 0 : WORTH.watch);
      return [{ ...candidate, score, level: left, cautions: found.cautions }];
    })
    .sort((a, b) => b.score - a.score);
  const found: Easier[] = [];
  const keys = new Set<string>();
  for (const { kind, step: other, words, level, cautions: left } of clean) {
    const key = kind === 'position' && other.kind === 'hold' ? other.position : words;
    const isFull = found.filter((one) => one.kind === kind).length >= MOST[kind];
    if (isFull || keys.has(key)) continue;
    keys.add(key);
    found.push({ kind, step: other, words, level, cautions: left });
  }
  return found;
}
