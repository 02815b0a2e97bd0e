import { QUARTERS, ratioInWords, readCounts } from '#core/breath';
import { Thread, valueInWords, type CanGrow, type Course, type ThreadOf } from '#core/course';
import type { Plan } from '#core/plan';

/** What grows by itself: everything but what comes new. */
export type Growing = Exclude<Thread, { kind: 'new' }>;

/** What is offered as an aim of what starts to grow: a third more time, a longer out-breath, one piece fewer. */
export function suggestedAim(still: Growing, weeks: number): Growing {
  switch (still.kind) {
    case 'length': {
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
      : thread.kind === 'length' && thread.to < thread.from;
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

/** A course with a thread: in the place of the one with its id, or after the others. */
export const withThread = (course: Course, thread: Thread): Course => ({
  ...course,
  threads: course.threads.some(({ id }) => id === thread.id)
    ? course.threads.map((one) => (one.id === thread.id ? thread : one))
    : [...course.threads, thread],
});
export const withoutThread = (course: Course, id: string): Course => ({
  ...course,
  threads: course.threads.filter((one) => one.id !== id),
});

/** Which of the things that can grow a thread is of; undefined where the plan no longer has it. */
export const sameAs = (thread: Thread, all: readonly CanGrow[]): CanGrow | undefined =>
  all.find(({ still }) => {
    if (still.kind !== thread.kind) return false;
    if (still.kind === 'length' && thread.kind === 'length')
      return JSON.stringify(still.of) === JSON.stringify(thread.of);
    if (still.kind === 'breath' && thread.kind === 'breath') return still.step === thread.step;
    if (still.kind === 'props' && thread.kind === 'props')
      return still.step === thread.step && still.row === thread.row;
    return still.kind === 'talk';
  });

/** The steps after which something new may come, the beginning first. */
export const placesIn = ({ steps }: Plan): { value: string; label: string }[] => [
  { value: '', label: 'at the beginning' },
  ...steps.map(({ id, name }) => ({ value: id, label: `after ${name.split(',')[0] ?? name}` })),
];
