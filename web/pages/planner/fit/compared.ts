import type { PlanMetrics } from '#core/jobs';
import { pieceCount } from '#core/props';
import type { Ms } from '#core/numbers';
import { clockOfMs } from '#core/time';
import { TALLY_WORDS } from '#core/order';
import { CAUTION_TRAIT_WORDS } from '#core/caution';

/** One figure of several plans: what each has, in lines, and whether it differs from the first. */
export interface ComparedRow {
  label: string;
  values: { lines: string[]; differs: boolean; caution: boolean }[];
  /** All have the same. */
  same: boolean;
}

interface Compared {
  figures: PlanMetrics;
}

const MAX_LINES = 6;

/** One line of a list that several plans have, each in its own measure. */
interface Line {
  key: string;
  text: string;
}

/**
 * A list in the order of the first plan's, what that has not behind it; the first lines, and how many more there are.
 */
function inOrderOf(first: readonly Line[], lines: readonly Line[]): string[] {
  const place = (key: string): number => {
    const at = first.findIndex((line) => line.key === key);
    return at < 0 ? first.length : at;
  };
  const texts = [...lines].sort((a, b) => place(a.key) - place(b.key)).map(({ text }) => text);
  return texts.length > MAX_LINES ? [...texts.slice(0, MAX_LINES), `and ${texts.length - MAX_LINES} more`] : texts;
}

function spare(ms: Ms): string {
  if (ms === 0) return 'to the second';
  return `${clockOfMs(Math.abs(ms))} ${ms < 0 ? 'over' : 'to spare'}`;
}

/** Plans compared with each other, the first of them the one the others are distinguished from. */
export function comparedRows(plans: readonly Compared[]): ComparedRow[] {
  const [base] = plans;
  if (!base) return [];
  const row = (
    label: string,
    of: (one: Compared) => string[],
    caution: (one: Compared) => boolean = () => false,
  ): ComparedRow => {
    const all = plans.map((one) => ({ lines: of(one), caution: caution(one) }));
    const values = all.map(({ lines, caution: warns }) => ({
      lines: lines.length > 0 ? lines : ['none'],
      differs: lines.join('\n') !== of(base).join('\n'),
      caution: warns,
    }));
    return { label, values, same: values.every(({ differs }) => !differs) };
  };
  const list = (label: string, of: (figures: PlanMetrics) => Line[]): ComparedRow =>
    row(label, ({ figures }) => inOrderOf(of(base.figures), of(figures)));
  const time = (label: string, of: (totals: PlanMetrics['totals']) => Ms): ComparedRow =>
    row(label, ({ figures }) => [clockOfMs(of(figures.totals))]);
  return [
    time('total', ({ totalMs }) => totalMs),
    row(
      'compared with class length',
      ({ figures }) => [spare(figures.totals.spareMs)],
      ({ figures }) => figures.totals.spareMs < 0,
    ),
    time('in holds', ({ holdMs }) => holdMs),
    row(
      'left · right',
      ({ figures: { totals } }) => [`${clockOfMs(totals.leftMs)} · ${clockOfMs(totals.rightMs)}`],
      ({ figures: { totals } }) => totals.leftMs !== totals.rightMs,
    ),
    time('in breath', ({ breathMs }) => breathMs),
    time('in rests', ({ restMs }) => restMs),
    time('between', ({ betweenMs }) => betweenMs),
    ...TALLY_WORDS.map(({ of, many }) => row(many, ({ figures }) => [String(figures.tally[of])])),
    list('body areas', ({ areas }) => areas.map(({ area, ms }) => ({ key: area, text: `${area} ${clockOfMs(ms)}` }))),
    list('props', ({ props }) => props.map(({ kind, group }) => ({ key: kind, text: pieceCount(kind, group) }))),
    list('demands on the body', ({ asks }) =>
      asks.map(({ ask, steps }) => ({
        key: ask,
        text: `${CAUTION_TRAIT_WORDS[ask]}, ${steps} ${steps === 1 ? 'step' : 'steps'}`,
      })),
    ),
  ];
}
