import type { Figures } from '#core/arrange';
import { pieceCount } from '#core/props';
import { clockOfMs, type Ms } from '#core/time';
import { TALLY_WORDS } from '#core/order';
import type { Plan } from '#core/plan';
import { BREATH_TRAIT_WORDS, TRAIT_WORDS } from '../../library/words';

/** One figure of several plans: what each has, in lines, and whether it differs from the first. */
export interface ComparedRow {
  label: string;
  values: { lines: string[]; differs: boolean; caution: boolean }[];
  /** All have the same. */
  same: boolean;
}

interface Compared {
  figures: Figures;
  plan: Plan;
}

const ASK_WORDS = { ...TRAIT_WORDS, ...BREATH_TRAIT_WORDS };
const MOST_LINES = 6;

/** The first lines of a list, and how many more there are. */
const first = (lines: string[]): string[] =>
  lines.length > MOST_LINES ? [...lines.slice(0, MOST_LINES), `and ${lines.length - MOST_LINES} more`] : lines;

const spare = (ms: Ms): string => `${clockOfMs(Math.abs(ms))} ${ms < 0 ? 'over' : 'to spare'}`;

/** Plans held against each other, the first of them the one the others are told apart from. */
export function comparedRows(plans: readonly Compared[]): ComparedRow[] {
  const row = (
    label: string,
    of: (one: Compared) => string[],
    caution: (one: Compared) => boolean = () => false,
  ): ComparedRow => {
    const all = plans.map((one) => ({ lines: of(one), caution: caution(one) }));
    const values = all.map(({ lines, caution: warns }) => ({
      lines: lines.length > 0 ? lines : ['none'],
      differs: lines.join('\n') !== all[0]!.lines.join('\n'),
      caution: warns,
    }));
    return { label, values, same: values.every(({ differs }) => !differs) };
  };
  const time = (label: string, of: (totals: Figures['totals']) => Ms): ComparedRow =>
    row(label, ({ figures }) => [clockOfMs(of(figures.totals))]);
  return [
    time('in all', ({ totalMs }) => totalMs),
    row(
      'against the class',
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
    row('areas of the body', ({ figures }) => first(figures.areas.map(({ area, ms }) => `${area} ${clockOfMs(ms)}`))),
    row('props', ({ figures }) => first(figures.props.map(({ kind, group }) => pieceCount(kind, group)))),
    row('asks of the body', ({ figures }) =>
      first(figures.asks.map(({ ask, steps }) => `${ASK_WORDS[ask]}, ${steps} ${steps === 1 ? 'step' : 'steps'}`)),
    ),
  ];
}
