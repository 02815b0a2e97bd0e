import { toMs, type Seconds } from '#core/numbers';

/** A length as so many breaths, `4 breaths`, where it is a whole number of them; undefined if it is not. */
export function inBreaths(seconds: Seconds, breathSeconds: Seconds): string | undefined {
  const [ms, breathMs] = [toMs(seconds), toMs(breathSeconds)];
  if (ms === 0 || ms % breathMs !== 0) return undefined;
  const breaths = ms / breathMs;
  return breaths === 1 ? '1 breath' : `${breaths} breaths`;
}

/** Seconds of a number of breaths as it is typed, `4` or `4 breaths`; undefined for anything else. */
export function parseBreaths(typed: string, breathSeconds: Seconds): Seconds | undefined {
  const breaths = /^\s*(\d{1,4})\s*(breaths?|br)?\s*$/i.exec(typed)?.[1];
  return breaths === undefined ? undefined : (Number(breaths) * toMs(breathSeconds)) / 1000;
}
