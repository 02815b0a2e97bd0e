/**
 * Coefficients of P. J. Acklam, An algorithm for computing the inverse normal cumulative distribution function, 2003.
 */
const A = [
  -39.69683028665376, 220.9460984245205, -275.9285104469687, 138.357751867269, -30.66479806614716, 2.506628277459239,
];
const B = [-54.47609879822406, 161.5858368580409, -155.6989798598866, 66.80131188771972, -13.28068155288572, 1];
const C = [
  -0.007784894002430293, -0.3223964580411365, -2.400758277161838, -2.549732539343734, 4.374664141464968,
  2.938163982698783,
];
const D = [0.007784695709041462, 0.3224671290700398, 2.445134137142996, 3.754408661907416, 1];
const TAIL = 0.02425;

const polynomial = (coefficients: readonly number[], x: number): number =>
  coefficients.reduce((sum, coefficient) => sum * x + coefficient, 0);

/** The quantile of the standard normal distribution; share between 0 and 1, error below 1.2e-9 of it. */
export function normalQuantile(share: number): number {
  if (share < TAIL) {
    const q = Math.sqrt(-2 * Math.log(share));
    return polynomial(C, q) / polynomial(D, q);
  }
  if (share > 1 - TAIL) return -normalQuantile(1 - share);
  const q = share - 0.5;
  const r = q * q;
  return (polynomial(A, r) * q) / polynomial(B, r);
}

const STEPS = 1 << 14;
let table: Float64Array | undefined;

/**
 * Numbers with a standard normal spread from numbers between 0 and 1: the middle of one of 16,384 equally likely
 * slices. Millions are drawn for a forecast, and a look into a table is several times as fast as a logarithm and a
 * root.
 */
export function normals(random: () => number): () => number {
  const slices = (table ??= Float64Array.from({ length: STEPS }, (_, i) => normalQuantile((i + 0.5) / STEPS)));
  return () => slices[Math.floor(random() * STEPS)]!;
}
