import { fitBreath, practiceMs, type BreathPractice } from '#core/breath';
import { breathSeats } from '#core/catalogue';
import { breathFrom, type BreathStep } from '#core/plan';
import { lower, samePlace, traitsShared, WORTH, type Candidate, type EasierOptions } from './candidate';
import type { Knowledge } from './knowledge';
import { seatsOf } from './seats';
import { withoutHolding } from './without-holding';

/** A practice for about as long as another: whole rounds, never longer; as it is where it does not fit. */
function asLongAs(practice: BreathPractice, seconds: number): BreathPractice {
  const fit = fitBreath(practice, seconds);
  return fit.ok ? fit.practice : practice;
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

/** All that could stand in the place of a breath, whether it will do or not. */
export function insteadOfBreath(
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
        score: (named.has(technique.id) ? WORTH.named : 0) + (here ? traitsShared(here.traits, technique.traits) : 0),
      };
    });
  return [...without, ...techniques, ...otherSeats(step, quiet && asLongAs(quiet, seconds), knowledge, options)];
}
