import { toMs, type Ms, type Seconds } from '#core/numbers';

const pad = (n: number): string => String(n).padStart(2, '0');

/**
 * Shows whole milliseconds as a clock: `0:40`, `4:30`, `73:56` up to just under 100 minutes, then `1:40:00`.
 * Rounded to the nearest second, never cut off; a length below zero gets a minus sign (U+2212).
 * `hours: 'always'` shows `1:05:00` from the first hour on.
 */
export function clockOfMs(ms: Ms, { hours = 'late' }: { hours?: 'late' | 'always' } = {}): string {
  const whole = Math.round(Math.abs(ms) / 1000);
  const sign = ms < 0 && whole > 0 ? '−' : '';
  const seconds = whole % 60;
  const minutes = Math.floor(whole / 60);
  const showHours = hours === 'always' ? minutes >= 60 : minutes >= 100;
  if (!showHours) return `${sign}${minutes}:${pad(seconds)}`;
  return `${sign}${Math.floor(minutes / 60)}:${pad(minutes % 60)}:${pad(seconds)}`;
}

/** Shows seconds as a clock: `4:30`, `1:05:00`. Rounded to the nearest second. */
export function clockOfSeconds(seconds: Seconds): string {
  return clockOfMs(toMs(seconds), { hours: 'always' });
}

/** A difference in milliseconds with its sign always there: `+0:12`, `−0:40`, `0:00`. */
export function signedClockOfMs(ms: Ms): string {
  const text = clockOfMs(ms);
  return ms > 0 && text !== '0:00' ? `+${text}` : text;
}

/**
 * Text for a field that will be read back by `parseDuration`: like the clock, but with the decimals that are there,
 * so that showing and reading a stored length changes nothing.
 */
export function editableClock(seconds: Seconds): string {
  const ms = toMs(seconds);
  const decimals = ms % 1000;
  const clock = clockOfMs(ms - decimals, { hours: 'always' });
  return decimals === 0 ? clock : `${clock}.${String(decimals).padStart(3, '0').replace(/0+$/, '')}`;
}

/** A length in milliseconds for a screen reader: `4 minutes 30 seconds`. Rounded to the nearest second. */
export function spokenMs(ms: Ms): string {
  const whole = Math.round(Math.abs(ms) / 1000);
  const parts = [
    [Math.floor(whole / 3600), 'hour'],
    [Math.floor(whole / 60) % 60, 'minute'],
    [whole % 60, 'second'],
  ] as const;
  const named = parts.filter(([n]) => n > 0).map(([n, unit]) => `${n} ${unit}${n === 1 ? '' : 's'}`);
  return named.length > 0 ? named.join(' ') : '0 seconds';
}
