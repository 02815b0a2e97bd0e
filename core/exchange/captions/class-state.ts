import type { Ms } from '#core/numbers';
import type { Entry } from './semi-markov';

export const SEGMENT_KINDS = ['talk', 'shown', 'in', 'hold', 'out', 'rest', 'breath'] as const;
export type SegmentKind = (typeof SEGMENT_KINDS)[number];

/** A segment that somebody has corrected, with its beginning and its end. */
export interface FixedSegment {
  startMs: Ms;
  endMs: Ms;
  kind: SegmentKind;
  /** The position or technique; of any other kind it does not count. */
  id: string | null;
  side: 'left' | 'right' | 'both';
}

/** What happens in a segment: its kind, and what is or was held. */
export interface ClassState {
  kind: SegmentKind;
  /** The position, or the technique of a breath; of talk, rest and coming out the position before. */
  id: string | null;
  side: 'left' | 'right' | 'both';
  /** The first side of a position or the second. */
  turn: 1 | 2;
}

/** What has to be known of a position to follow its sides. */
export interface PositionSides {
  id: string;
  /** Whether it has a left and a right. */
  isSided: boolean;
  /** What its left means, as the library says it; empty where it has none. */
  leftMeans: string;
}

/** What it costs that a class does not go the usual way: in, hold, out, and the second side after the first. */
const COSTS = {
  inSkipped: -4.5,
  outSkipped: -1.5,
  secondMissing: -3,
  breathAfterBreath: -4,
} as const;
/** A second side follows a first more often than anything else. */
const SECOND_FOLLOWS = 0.7;

/** Groups of states by what may come after them. */
const BETWEEN = 0;
const HELD = 1;
const BREATHED = 2;
const BETWEEN_KINDS = ['out', 'rest', 'talk', 'shown'] as const;
const NEVER = -Infinity;

/** The states of a class, and which may follow which. */
export interface ClassStates {
  states: readonly ClassState[];
  groups: number;
  groupOf: (state: ClassState) => { group: number; score: number } | undefined;
  entry: (state: ClassState) => Entry;
  last: (state: ClassState) => number;
}

const keyOf = ({ kind, id, side, turn }: ClassState): string => `${kind} ${id ?? ''} ${side} ${turn}`;

/** All states of a class with these positions and techniques. */
export function classStates(positions: readonly PositionSides[], techniques: readonly string[]): ClassStates {
  const states: ClassState[] = [
    { kind: 'talk', id: null, side: 'both', turn: 1 },
    { kind: 'shown', id: null, side: 'both', turn: 1 },
    ...positions.flatMap(({ id, isSided }) =>
      (isSided ? (['left', 'right'] as const) : (['both'] as const)).flatMap((side) =>
        (isSided ? ([1, 2] as const) : ([1] as const)).flatMap((turn) =>
          (['in', 'hold', ...BETWEEN_KINDS] as const).map((kind): ClassState => ({ kind, id, side, turn })),
        ),
      ),
    ),
    ...techniques.map((id): ClassState => ({ kind: 'breath', id, side: 'both', turn: 1 })),
  ];
  const places = new Map(states.map((state, i) => [keyOf(state), i]));
  const sided = new Set(positions.filter(({ isSided }) => isSided).map(({ id }) => id));
  const from = (state: ClassState, kind: SegmentKind, score = 0) => ({
    state: places.get(keyOf({ ...state, kind })) ?? -1,
    score,
  });
  const unfinished = ({ id, turn }: ClassState): number =>
    id !== null && sided.has(id) && turn === 1 ? COSTS.secondMissing : 0;

  /** How a position is begun: after anything, or, for its second side, after its first. */
  function begun(state: ClassState, cost: number): Pick<Entry, 'groups' | 'states'> {
    if (state.turn === 2) {
      const first: ClassState = { ...state, side: state.side === 'left' ? 'right' : 'left', turn: 1 };
      const between = BETWEEN_KINDS.map((kind) => from(first, kind, SECOND_FOLLOWS + cost));
      return { groups: [], states: [...between, from(first, 'hold', SECOND_FOLLOWS + COSTS.outSkipped + cost)] };
    }
    return {
      groups: [
        { group: BETWEEN, score: cost },
        { group: HELD, score: COSTS.outSkipped + cost },
        { group: BREATHED, score: cost },
      ],
      states: [],
    };
  }

  function entry(state: ClassState): Entry {
    switch (state.kind) {
      case 'in':
        return { ...begun(state, 0), first: state.turn === 1 ? 0 : NEVER };
      case 'hold': {
        const skipped = begun(state, COSTS.inSkipped);
        const first = state.turn === 1 ? COSTS.inSkipped : NEVER;
        return { ...skipped, states: [...skipped.states, from(state, 'in')], first };
      }
      case 'out':
        return { groups: [], states: [from(state, 'hold')], first: NEVER };
      case 'rest':
        return { groups: [], states: [from(state, 'out'), from(state, 'hold', COSTS.outSkipped)], first: NEVER };
      case 'talk':
      case 'shown': {
        const before = [from(state, 'talk'), from(state, 'shown')];
        if (state.id === null) {
          const breaths = techniques.map((id) => from({ ...state, id }, 'breath'));
          return { groups: [], states: [...before, ...breaths], first: 0 };
        }
        const held = [from(state, 'out'), from(state, 'rest'), from(state, 'hold', COSTS.outSkipped)];
        return { groups: [], states: [...before, ...held], first: NEVER };
      }
      case 'breath':
        return {
          groups: [
            { group: BETWEEN, score: 0 },
            { group: HELD, score: COSTS.outSkipped },
            { group: BREATHED, score: COSTS.breathAfterBreath },
          ],
          states: [],
          first: 0,
        };
    }
  }

  return {
    states,
    groups: 3,
    groupOf: (state) => {
      if (state.kind === 'in') return undefined;
      if (state.kind === 'breath') return { group: BREATHED, score: 0 };
      return { group: state.kind === 'hold' ? HELD : BETWEEN, score: unfinished(state) };
    },
    entry,
    last: (state) => (state.kind === 'in' ? NEVER : unfinished(state)),
  };
}
