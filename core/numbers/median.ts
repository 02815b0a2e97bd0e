/** The median, in the unit of the values; undefined if there are none. */
export function median(values: readonly number[]): number | undefined {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  if (sorted.length % 2 === 1 || sorted.length === 0) return sorted[middle];
  return (sorted[middle - 1]! + sorted[middle]!) / 2;
}
