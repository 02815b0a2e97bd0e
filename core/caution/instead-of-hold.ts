import { likeness, type Approach, type Position } from '#core/catalogue';
import { holdFrom, sideSeconds, type HoldStep } from '#core/plan';
import { propKind, type SetUp } from '#core/props';
import { LYING, lower, samePlace, traitsShared, WORTH, type Candidate, type EasierOptions } from './candidate';
import type { Knowledge } from './knowledge';
import { liesOnBody } from './traits';
import { withoutHolding } from './without-holding';

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

/** All that could stand in the place of a hold, whether it will do or not. */
export function insteadOfHold(
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
      step: {
        ...asBefore,
        setUp: items,
        stages: step.stages.map((stage) => ({ ...stage, setUp: null, position: null })),
      },
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
        stages: step.stages.map((stage) => ({ ...stage, setUp: null, position: null })),
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
        WORTH.like * like +
        WORTH.traits * traitsShared(here?.traits ?? [], position.traits) +
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
