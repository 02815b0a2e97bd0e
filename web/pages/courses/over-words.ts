import { weekName, type Course, type WeekBalance } from '#core/course';
import { pieceCount } from '#core/props';
import { clockOfMs } from '#core/time';

/** `week 2, week 4 and week 5`. */
const listed = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;

/** The whole course in sentences: what is held longest, the sides, what is new, the longest hold of breath, what to bring. */
export function balanceSentences(course: Course, balance: readonly WeekBalance[]): string[] {
  const [first, last] = [balance[0], balance.at(-1)];
  if (!first || !last) return [];
  const sentences: string[] = [];
  const all = new Map<string, number>();
  for (const { areas } of balance) for (const { area, ms } of areas) all.set(area, (all.get(area) ?? 0) + ms);
  const [most] = [...all].sort(([, a], [, b]) => b - a);
  if (most) sentences.push(`Held longest over the whole course: ${most[0]}, ${clockOfMs(most[1])}.`);
  const uneven = balance.filter(({ leftMs, rightMs }) => leftMs !== rightMs).map(({ week }) => weekName(course, week));
  sentences.push(
    uneven.length === 0 ? 'Left and right are even in every class.' : `Left and right are uneven in ${listed(uneven)}.`,
  );
  const fresh = balance.filter(({ newMs }) => newMs > 0).map(({ week }) => weekName(course, week));
  if (fresh.length > 0) sentences.push(`Something new comes in ${listed(fresh)}.`);
  const [held, longest] = [first.longestRetentionMs, Math.max(...balance.map((one) => one.longestRetentionMs))];
  sentences.push(
    longest === 0
      ? 'The breath is never held.'
      : held === longest
        ? `The longest hold of the breath is ${clockOfMs(longest)} throughout.`
        : `The longest hold of the breath grows from ${clockOfMs(held)} to ${clockOfMs(longest)}.`,
  );
  const changed = last.props.filter(
    ({ kind, group }) => group !== (first.props.find((one) => one.kind === kind)?.group ?? 0),
  );
  if (changed.length > 0)
    sentences.push(`By the end you bring ${listed(changed.map(({ kind, group }) => pieceCount(kind, group)))}.`);
  return sentences;
}
