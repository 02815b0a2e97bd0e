import { QUARTERS, ratioInWords, readCounts } from '#core/breath';
import { Thread, type ThreadOf } from './thread';
import type { Growing } from './what-can-grow';
import { valueInWords } from './words';

/** What is offered as an aim of what starts to grow: a third more time, a longer out-breath, one piece fewer. */
export function suggestedAim(still: Growing, weeks: number): Growing {
  switch (still.kind) {
    case 'length': {
      // The props of a stage leave earlier, a third of its time in the end.
      if (still.of.kind === 'stage') return { ...still, to: Math.ceil((still.from * 2) / 3 / 15) * 15, byWeek: weeks };
      const to = Math.min(3600, Math.ceil((still.from * 4) / 3 / 30) * 30);
      return { ...still, to, byWeek: weeks };
    }
    case 'breath': {
      const { in: breathIn, out, holdFull } = still.from;
      // First a longer out-breath, up to twice the in-breath; then a hold of a count or two.
      const to = out < 2 * breathIn ? { out: Math.min(2 * breathIn, out + 2) } : { holdFull: holdFull + 2 };
      return { ...still, to: { ...still.from, ...to }, byWeek: weeks };
    }
    case 'props':
      return { ...still, to: Math.max(0, still.from - 1), byWeek: weeks };
    case 'talk':
      return { ...still, to: Math.floor(still.from / 2), byWeek: weeks };
  }
}

/** Why an aim is none: it is what there is already, or behind it; undefined where it is one. */
function aimRefusal(thread: Growing): string | undefined {
  const from = valueInWords(thread, thread.from);
  const isSame = JSON.stringify(thread.from) === JSON.stringify(thread.to);
  if (isSame) return `It begins with ${from} already. Choose another aim.`;
  const isShorter =
    thread.kind === 'breath'
      ? QUARTERS.every((quarter) => thread.to[quarter] <= thread.from[quarter])
      : thread.kind === 'length' && thread.of.kind !== 'stage' && thread.to < thread.from;
  if (isShorter) return `It begins with ${from} already: an aim is longer.`;
  if ((thread.kind === 'props' || thread.kind === 'talk') && thread.to > thread.from)
    return `It begins with ${from} already: an aim is less.`;
  return undefined;
}

/** A breath aim as it is typed, such as `5:0:8`; or why it is none. */
export function readAim(
  thread: ThreadOf<'breath'>,
  typed: string,
): { ok: true; to: ThreadOf<'breath'>['to'] } | { ok: false; reason: string } {
  const read = readCounts(typed, thread.from.in);
  if (read.ok) return { ok: true, to: read.counts };
  return { ok: false, reason: read.ask ? `Type counts like ${ratioInWords(thread.from)}.` : read.reason };
}

/** The first thing that is wrong with a thread; undefined where nothing is. */
export function threadRefusal(thread: Thread): string | undefined {
  const read = Thread.safeParse(thread);
  if (!read.success) return read.error.issues[0]?.message;
  return thread.kind === 'new' ? undefined : aimRefusal(thread);
}
