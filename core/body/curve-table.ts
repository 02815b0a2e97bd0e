/** Rows of a table: where along a segment, then one or more measures there. */
export type Rows = readonly (readonly number[])[];

/**
 * A smooth curve through the rows of a table, one value per measure (cubic Hermite with finite-difference slopes; flat
 * beyond both ends).
 */
export function readTable(rows: Rows, at: number): number[] {
  let i = 0;
  while (i < rows.length - 2 && at > rows[i + 1]![0]!) i++;
  const from = rows[i]!;
  const to = rows[i + 1]!;
  const before = rows[i - 1] ?? from;
  const after = rows[i + 2] ?? to;
  const step = to[0]! - from[0]!;
  const u = Math.min(1, Math.max(0, (at - from[0]!) / step));
  const u2 = u * u;
  const u3 = u2 * u;
  const values: number[] = [];
  for (let column = 1; column < from.length; column++) {
    const rise = (to[column]! - from[column]!) / step;
    const slopeFrom = before === from ? rise : (to[column]! - before[column]!) / (to[0]! - before[0]!);
    const slopeTo = after === to ? rise : (after[column]! - from[column]!) / (after[0]! - from[0]!);
    values.push(
      (2 * u3 - 3 * u2 + 1) * from[column]! +
        (u3 - 2 * u2 + u) * step * slopeFrom +
        (-2 * u3 + 3 * u2) * to[column]! +
        (u3 - u2) * step * slopeTo,
    );
  }
  return values;
}

/** The table read at evenly spaced places from its first row to its last. */
export function readEvenly(rows: Rows, pieces: number): { at: number; values: number[] }[] {
  const first = rows[0]![0]!;
  const last = rows.at(-1)![0]!;
  return Array.from({ length: pieces + 1 }, (_, i) => {
    const at = first + ((last - first) * i) / pieces;
    return { at, values: readTable(rows, at) };
  });
}
