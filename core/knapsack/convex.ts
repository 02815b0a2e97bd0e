/**
 * For every sum u up to `reach`: the least of `best[u − k·step] + costs[k]` over k, and which k it is. `costs` is
 * convex, so that of two sums to start from the earlier one is better up to some u and the later one from there on; the
 * ones that are best somewhere are kept in a queue with where they begin to be (as in the concave and convex
 * least-weight problems of D. S. Hirschberg and L. L. Larmore, The least weight subsequence problem, SIAM J. Comput.
 * 16, 1987). Writes into `next` and `taken`, which hold Infinity and 0.
 */
export function addConvex(
  best: Float64Array,
  costs: Float64Array,
  step: number,
  reach: number,
  next: Float64Array,
  taken: Uint8Array | Uint16Array,
): void {
  const most = costs.length - 1;
  const from = new Int32Array(Math.floor(reach / step) + 1);
  const begins = new Int32Array(from.length);
  for (let rest = 0; rest < step && rest <= reach; rest++) {
    let [head, tail] = [0, 0];
    const count = Math.floor((reach - rest) / step);
    /** From which i on the later of two is better: a search, since the difference only grows. */
    const crossing = (early: number, late: number): number => {
      const [a, b] = [best[rest + step * early]!, best[rest + step * late]!];
      let [low, high] = [late, early + most + 1];
      while (low < high) {
        const i = (low + high) >> 1;
        if (b + costs[i - late]! < a + costs[i - early]!) high = i;
        else low = i + 1;
      }
      return low;
    };
    for (let i = 0; i <= count; i++) {
      const u = rest + step * i;
      if (best[u]! < Infinity) {
        let start = i;
        while (tail > head) {
          start = crossing(from[tail - 1]!, i);
          if (start > begins[tail - 1]!) break;
          tail--;
        }
        from[tail] = i;
        begins[tail] = tail === head ? i : start;
        tail++;
      }
      while (tail - head > 1 && begins[head + 1]! <= i) head++;
      if (tail === head) continue;
      const k = i - from[head]!;
      if (k > most) {
        head++;
        continue;
      }
      next[u] = best[u - step * k]! + costs[k]!;
      taken[u] = k;
    }
  }
}
