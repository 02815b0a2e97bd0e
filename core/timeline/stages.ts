import type { Stage } from '#core/plan';
import { toMs, type Ms } from '#core/numbers';

const SECOND_MS = 1000;

export interface SplitStages {
  /** One length for each stage; they add up to the hold exactly. A stage that gets nothing has 0. */
  lengths: Ms[];
  /** How far the fixed stages went past the hold, or, without any sharing stage, fell short of it. */
  overMs: Ms;
  shortMs: Ms;
}

/**
 * Splits milliseconds by weights so that the parts add up exactly: whole seconds into whole seconds where there are
 * enough.
 */
function splitByWeights(total: Ms, weights: readonly number[]): Ms[] {
  const sum = weights.reduce((a, b) => a + b, 0);
  const grid = total % SECOND_MS === 0 && total >= SECOND_MS * weights.length ? SECOND_MS : 1;
  let seen = 0;
  let given = 0;
  return weights.map((weight) => {
    seen += weight;
    const upTo = Math.round((total * seen) / sum / grid) * grid;
    const part = upTo - given;
    given = upTo;
    return part;
  });
}

/**
 * The lengths of the stages of a hold of `holdMs`. Fixed stages take their own; the others share the remainder by
 * weight. Fixed stages that do not fit shrink in proportion; without a sharing stage the last one takes what is over.
 */
export function splitStages(stages: readonly Stage[], holdMs: Ms): SplitStages {
  const fixed = stages.map(({ length }) => (length.kind === 'fixed' ? toMs(length.seconds) : 0));
  const weights = stages.map(({ length }) => (length.kind === 'share' ? length.weight : 0));
  const fixedMs = fixed.reduce((a, b) => a + b, 0);
  const shares = weights.some((weight) => weight > 0);
  if (fixedMs > holdMs) return { lengths: splitByWeights(holdMs, fixed), overMs: fixedMs - holdMs, shortMs: 0 };
  const spare = holdMs - fixedMs;
  if (shares) {
    const shared = splitByWeights(spare, weights);
    return { lengths: fixed.map((ms, i) => ms + (shared[i] ?? 0)), overMs: 0, shortMs: 0 };
  }
  const lengths = fixed.with(-1, (fixed.at(-1) ?? 0) + spare);
  return { lengths, overMs: 0, shortMs: spare };
}
