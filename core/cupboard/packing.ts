import type { Available, PropKind } from '#core/props';
import type { Timeline } from '#core/timeline';
import { assignProps } from './assign';
import { stepsShort, type Demand, type MetMoment } from './demand';
import { momentsOf, type Moment } from './moments';

/** One line of a packing list. */
interface PackedKind {
  kind: PropKind;
  /** The most pieces in use at once. */
  use: number;
  /** How many of those the place has. */
  there: number;
  /** How many of those are brought. */
  bring: number;
}

export interface PackingList {
  kinds: PackedKind[];
  /** Every moment with what is there and what is brought. */
  moments: MetMoment[];
  shortSteps: Demand['shortSteps'];
}

const total = ({ wants }: Moment): number => wants.reduce((sum, { pieces }) => sum + pieces, 0);

/**
 * What to bring to a class elsewhere: each need is met from the props there, then from the list so far, then from the
 * teacher's own cupboard; substitutes where that is not enough. Each moment is met as well as it can be; the moments
 * that need the most come first, so that the others mostly find on the list what they need.
 */
export function packingList(timeline: Timeline, people: number, there: Available, own: Available): PackingList {
  const moments = momentsOf(timeline, people);
  const packed = new Map<PropKind, number>();
  const atHand = (): Available => {
    const pieces: Available = { ...there };
    for (const [kind, count] of packed) pieces[kind] = (pieces[kind] ?? 0) + count;
    return pieces;
  };
  const still = (): Available => {
    const pieces: Available = { ...own };
    for (const [kind, count] of packed) pieces[kind] = (pieces[kind] ?? 0) - count;
    return pieces;
  };
  for (const { wants } of [...moments].sort((a, b) => total(b) - total(a))) {
    const { used } = assignProps(wants, atHand(), still());
    for (const [kind, pieces] of used) {
      const missing = pieces - (there[kind] ?? 0) - (packed.get(kind) ?? 0);
      if (missing > 0) packed.set(kind, (packed.get(kind) ?? 0) + missing);
    }
  }
  const most = new Map<PropKind, number>();
  const met = moments.map((moment): MetMoment => {
    const assignment = assignProps(moment.wants, atHand());
    for (const [kind, pieces] of assignment.used) most.set(kind, Math.max(most.get(kind) ?? 0, pieces));
    return { ...moment, assignment };
  });
  const kinds = [...most].map(([kind, use]) => ({
    kind,
    use,
    there: Math.min(use, there[kind] ?? 0),
    bring: Math.max(0, use - (there[kind] ?? 0)),
  }));
  return { kinds, moments: met, shortSteps: stepsShort(met) };
}
