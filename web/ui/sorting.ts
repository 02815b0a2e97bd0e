/** What a row is sorted by; empty text stands for nothing known. */
export type SortValue = string | number;

/**
 * The rows by a value: text as people order names, numbers by size. Rows that are alike stay as they were, and those of
 * which nothing is known come last, whichever way round.
 */
export function sortedBy<R>(rows: readonly R[], of: (row: R) => SortValue, down: boolean): R[] {
  const unknown = (row: R): boolean => of(row) === '';
  const way = down ? -1 : 1;
  const compare = (a: R, b: R): number => {
    const [one, other] = [of(a), of(b)];
    return typeof one === 'number' && typeof other === 'number'
      ? one - other
      : String(one).localeCompare(String(other), 'en', { numeric: true });
  };
  const known = rows.filter((row) => !unknown(row));
  return [...known.sort((a, b) => way * compare(a, b)), ...rows.filter(unknown)];
}
