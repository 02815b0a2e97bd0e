/** The greatest common divisor of two whole numbers; of zero and a number, that number. */
export const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));
