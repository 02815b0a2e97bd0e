/** One line of the table: what was measured, the figure, and the bar it is compared with. */
export interface Figure {
  what: string;
  figure: string;
  bar: string;
  ok: boolean;
}

/** The value below which a share of the values lies; values in any order, share from 0 to 1. */
export function percentile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? Number.NaN;
}

/** Milliseconds of each of `times` runs of some work, after as many runs again to warm up. */
export function timed(times: number, work: () => void): number[] {
  for (let i = 0; i < times; i++) work();
  return Array.from({ length: times }, () => {
    const from = performance.now();
    work();
    return performance.now() - from;
  });
}

/** A figure in milliseconds compared with a bar in milliseconds. */
export const msFigure = (what: string, ms: number, barMs: number): Figure => ({
  what,
  figure: `${ms.toFixed(ms < 10 ? 2 : 0)} ms`,
  bar: `< ${barMs} ms`,
  ok: ms < barMs,
});
