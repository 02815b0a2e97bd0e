import type { Plan } from '#core/plan';
import type { BrokenRule } from './violations';
import { shareFromBest, type HeldBack, type Order } from './order';
import type { Tally } from './problem';

const many = (n: number, one: string, more: string): string => `${n} ${n === 1 ? one : more}`;

/** What a tally counts, in words, in the order of how much each is felt. */
export const TALLY_WORDS: readonly { of: keyof Tally; one: string; many: string }[] = [
  { of: 'family', one: 'change of position', many: 'changes of position' },
  { of: 'propMove', one: 'prop move', many: 'prop moves' },
  { of: 'wall', one: 'move to the wall', many: 'moves to the wall' },
  { of: 'side', one: 'change of side', many: 'changes of side' },
];

/** `14 prop moves → 8, 7 changes of position → 4`: what an order saves; what stays the same is left out. */
export function savedInWords({ before, after }: Extract<Order, { kind: 'ordered' }>): string {
  const counts = (order: typeof before): Tally => ({ ...order.tally, propMove: order.propMoves });
  const [was, is] = [counts(before), counts(after)];
  const parts = TALLY_WORDS.filter(({ of }) => was[of] !== is[of]).map(
    ({ of, one, many: more }) => `${many(was[of], one, more)} → ${is[of]}`,
  );
  return parts.join(', ');
}

/** How good an order is, as a sentence. */
export function proofInWords(order: Extract<Order, { kind: 'ordered' }>): string {
  const share = shareFromBest(order);
  if (share === 0) return 'No smoother order exists.';
  if (share === null) return 'A good order; how close it is to the best possible is not known.';
  return `A good order, at most ${Math.max(1, Math.round(100 * share))} % from the best possible.`;
}

const SPOT_WORDS = {
  first: 'does not come before the holds',
  last: 'does not come after the holds',
  ends: 'comes between the holds',
  anywhere: 'is out of its place',
} as const;
const BEND_WORDS = { fold: 'deep fold', back: 'back bend' } as const;

/** A rule that is not kept, as a sentence. */
export function brokenInWords(rule: BrokenRule): string {
  switch (rule.kind) {
    case 'unanswered':
      return rule.possible
        ? `${rule.name}, a ${BEND_WORDS[rule.bend]}, is not followed by a counterpose within two steps.`
        : `No step here is a counterpose for ${rule.name}, a ${BEND_WORDS[rule.bend]}, in any order.`;
    case 'joints':
      return `${rule.names[0]} and ${rule.names[1]} are both long on the ${rule.joint}, one after the other.`;
    case 'neutral':
      return `${rule.names[0]} and ${rule.names[1]}, a back bend and a deep fold, follow each other with nothing neutral between.`;
    case 'rousing':
      return `${rule.names[1]} rouses, and comes after ${rule.names[0]}, which quiets.`;
    case 'breath':
      return `${rule.name} ${SPOT_WORDS[rule.spot]}.`;
  }
}

/** What a rule costs, as a sentence: which rule, and what there would be less without it. */
export function heldBackInWords(plan: Plan, { rule, tally }: HeldBack, after: Tally): string {
  const nameOf = (id: string): string => plan.steps.find((step) => step.id === id)?.name ?? 'a step';
  const what = {
    answer: () => 'counterposes for deep folds and back bends within two steps',
    joints: () => 'no two long holds on the same joint in a row',
    neutral: () => 'something neutral between a back bend and a deep fold',
    rousing: () => 'what rouses before what quiets',
    breath: () => 'breath where this approach wants it',
    pinned: () => (rule.kind === 'pinned' ? `${rule.name} where it is pinned` : ''),
    pair: () => (rule.kind === 'pair' ? `${nameOf(rule.before)} before ${nameOf(rule.after)}` : ''),
  }[rule.kind]();
  const differences = TALLY_WORDS.map(({ of, one, many: more }) => ({ by: after[of] - tally[of], one, more }));
  const changesBy = (sign: 1 | -1): string[] =>
    differences.filter(({ by }) => by * sign > 0).map(({ by, one, more }) => many(Math.abs(by), one, more));
  const [fewer, further] = [changesBy(1), changesBy(-1)];
  return `Without “${what}”: ${fewer.join(', ')} fewer${further.length > 0 ? `, ${further.join(', ')} more` : ''}.`;
}
