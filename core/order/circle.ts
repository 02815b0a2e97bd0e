/**
 * A cycle among precedence pairs: its members in turn, or null if there is none.
 * Numbers from 0 to `count` − 1.
 */
export function circleOf(count: number, pairs: readonly (readonly [number, number])[]): number[] | null {
  const after = Array.from({ length: count }, (_, i) => pairs.filter(([a]) => a === i).map(([, b]) => b));
  const done = new Set<number>();
  const path: number[] = [];
  function walk(at: number): number[] | null {
    const seen = path.indexOf(at);
    if (seen >= 0) return path.slice(seen);
    if (done.has(at)) return null;
    path.push(at);
    for (const next of after[at]!) {
      const circle = walk(next);
      if (circle) return circle;
    }
    path.pop();
    done.add(at);
    return null;
  }
  for (let i = 0; i < count; i++) {
    const circle = walk(i);
    if (circle) return circle;
  }
  return null;
}
