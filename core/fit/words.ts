import type { Plan } from '#core/plan';
import { clockOfMs, clockOfSeconds } from '#core/time';
import type { MakeUp } from './binds';
import type { Fit } from './fit';
import type { Price } from './price';
import type { FittedLength } from './planned';
import type { Way } from './ways';

/** A name as far as its first comma, so that it can stand in a list. */
const nameOf = (plan: Plan, stepId: string): string =>
  plan.steps.find(({ id }) => id === stepId)?.name.split(',')[0] ?? 'A step';

/** `−0:30`, `+1:00`. */
const signed = (ms: number): string => `${ms < 0 ? '−' : '+'}${clockOfMs(Math.abs(ms))}`;

/** `Hip fold −0:30 a side`: how a length changes. Rounds are shown as rounds. */
export function changeInWords(plan: Plan, { stepId, what, times, from, to, fromMs, toMs }: FittedLength): string {
  const name = nameOf(plan, stepId);
  if (what.kind === 'breath') {
    const by = Math.abs(to - from);
    return `${name} ${by} ${by === 1 ? 'round' : 'rounds'} ${to < from ? 'fewer' : 'more'}`;
  }
  const side = what.kind === 'hold' && what.side !== 'even' ? ` ${what.side}` : times === 2 ? ' a side' : '';
  return `${name} ${signed((toMs - fromMs) / times)}${side}`;
}

/** One way to make it fit, as a sentence. */
export function wayInWords(way: Way): string {
  switch (way.kind) {
    case 'remove':
      return `Remove ${way.name}: ${clockOfMs(way.byMs)} less at the shortest.`;
    case 'together':
      return `Hold ${way.name} on both sides at once, if the position allows it: ${clockOfMs(way.byMs)} less.`;
    case 'bothSides':
      return `Hold ${way.name} on both sides: ${clockOfMs(way.byMs)} more at the longest.`;
    case 'unlock':
      return `Unlock ${way.name}: up to ${clockOfMs(way.byMs)} less.`;
    case 'range':
      return way.end === 'min'
        ? `Let ${way.name} go down to ${clockOfSeconds(way.to)}; now it stops at ${clockOfSeconds(way.from)}.`
        : `Let ${way.name} go up to ${clockOfSeconds(way.to)}; now it stops at ${clockOfSeconds(way.from)}.`;
    case 'floor':
      return `Let the final rest go down to ${clockOfSeconds(way.to)} instead of ${clockOfSeconds(way.from)}.`;
    case 'talk':
      return way.to === 0
        ? 'Reserve no time for talking.'
        : `Keep ${clockOfSeconds(way.to)} for talking instead of ${clockOfSeconds(way.from)}.`;
  }
}

/** What a length is made up of, as a sentence: the parts that have any, the longest first. */
export function makeUpInWords(
  { betweenMs, talkMs, keptForTalkMs, lockedMs, freeMs }: MakeUp,
  end: 'shortest' | 'longest',
): string {
  const parts: [number, string][] = [
    [freeMs, `holds, rests and breath at their ${end}`],
    [betweenMs, 'setting up, changing, getting in and coming out'],
    [lockedMs, 'what is locked'],
    [talkMs, 'talk'],
    [keptForTalkMs, 'reserved for talking'],
  ];
  const listed = parts
    .filter(([ms]) => ms > 0)
    .sort(([a], [b]) => b - a)
    .map(([ms, what]) => `${clockOfMs(ms)} ${what}`);
  return `${listed.join(', ')}.`;
}

/** A fit in one sentence. Targets leave out the time reserved for talking. */
export function fitInWords(fit: Fit): string {
  switch (fit.kind) {
    case 'fits': {
      const changed = fit.lengths.filter(({ from, to }) => from !== to).length;
      const spare = fit.targetMs - fit.totalMs;
      const off = spare === 0 ? 'to the second' : `${clockOfMs(spare)} to spare`;
      if (changed === 0) return `It fits as it is: ${clockOfMs(fit.totalMs)}, ${off}.`;
      return `${clockOfMs(fit.totalMs)}, ${off}, with ${changed} ${changed === 1 ? 'length' : 'lengths'} changed.`;
    }
    case 'tooLong':
      return `It cannot be that short: with every length at its minimum it is ${clockOfMs(fit.totalMs)}, ${clockOfMs(fit.overMs)} over.`;
    case 'tooShort':
      return `It cannot be that long: with every length at its maximum it is ${clockOfMs(fit.totalMs)}, ${clockOfMs(fit.missingMs)} short.`;
    case 'refused':
      return fit.issues[0]?.reason ?? 'It cannot be fitted.';
  }
}

/** What more or less of a step costs, as a sentence. `by` in seconds a side. */
export function priceInWords(plan: Plan, price: Price, by: number): string {
  if (price.kind === 'none') return price.reason;
  const lead = `${clockOfSeconds(Math.abs(by))} ${by < 0 ? 'less' : 'more'} here`;
  const parts = price.others.map((length) => changeInWords(plan, length));
  if (price.fromSpareMs < 0) parts.unshift(`${clockOfMs(-price.fromSpareMs)} of the spare time`);
  if (price.fromSpareMs > 0) parts.push(`${clockOfMs(price.fromSpareMs)} to spare`);
  if (parts.length === 0) return `${lead} costs nothing.`;
  return `${lead} ${by < 0 ? 'gives' : 'costs'} ${parts.join(', ')}.`;
}
