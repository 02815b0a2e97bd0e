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
  /**
   * The position, or the technique of a breath. Of coming out, rest and talk the position whose second side may follow;
   * null where nothing waits for its second side, as it then does not count what was held.
   */
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
const FIRST_HELD = 1;
const ALL_HELD = 2;
const BREATHED = 3;
const GROUPS = 4;
const BETWEEN_KINDS = ['out', 'rest', 'talk', 'shown'] as const;
const NEVER = -Infinity;
/** Between what is held where nothing waits for its second side. */
const NOTHING = { id: null, side: 'both', turn: 1 } as const;

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
    ...BETWEEN_KINDS.map((kind): ClassState => ({ kind, ...NOTHING })),
    ...positions.flatMap(({ id, isSided }): ClassState[] =>
      isSided
        ? (['left', 'right'] as const).flatMap((side) => [
            ...(['in', 'hold', ...BETWEEN_KINDS] as const).map((kind) => ({ kind, id, side, turn: 1 as const })),
            ...(['in', 'hold'] as const).map((kind) => ({ kind, id, side, turn: 2 as const })),
          ])
        : (['in', 'hold'] as const).map((kind) => ({ kind, id, side: 'both', turn: 1 })),
    ),
    ...techniques.map((id): ClassState => ({ kind: 'breath', id, side: 'both', turn: 1 })),
  ];
  const places = new Map(states.map((state, i) => [keyOf(state), i]));
  const sided = new Set(positions.filter(({ isSided }) => isSided).map(({ id }) => id));
  const from = (state: ClassState, kind: SegmentKind, score = 0) => ({
    state: places.get(keyOf({ ...state, kind })) ?? -1,
    score,
  });
  const isFirstOfTwo = ({ id, turn }: ClassState): boolean => id !== null && sided.has(id) && turn === 1;
  const unfinished = (state: ClassState): number => (isFirstOfTwo(state) ? COSTS.secondMissing : 0);

  /** After anything at all, at a cost. One list for all that is begun so. */
  const afterAnything = (cost: number, afterBreath: number): Entry['groups'] => [
    { group: BETWEEN, score: cost },
    { group: FIRST_HELD, score: COSTS.outSkipped + cost },
    { group: ALL_HELD, score: COSTS.outSkipped + cost },
    { group: BREATHED, score: afterBreath + cost },
  ];
  const [goneInto, heldAtOnce] = [afterAnything(0, 0), afterAnything(COSTS.inSkipped, 0)];
  const breathed = afterAnything(0, COSTS.breathAfterBreath);
  const nowhere: Entry['groups'] = [];

  /** How a position is begun: after anything, or, for its second side, after its first. */
  function begun(state: ClassState): Pick<Entry, 'groups' | 'states'> {
    const cost = state.kind === 'in' ? 0 : COSTS.inSkipped;
    if (state.turn === 1) return { groups: state.kind === 'in' ? goneInto : heldAtOnce, states: [] };
    const first: ClassState = { ...state, side: state.side === 'left' ? 'right' : 'left', turn: 1 };
    const between = BETWEEN_KINDS.map((kind) => from(first, kind, SECOND_FOLLOWS + cost));
    return { groups: nowhere, states: [...between, from(first, 'hold', SECOND_FOLLOWS + COSTS.outSkipped + cost)] };
  }

  /** What comes between: after these kinds, and after the hold that waits for its second side, or any other. */
  function between(state: ClassState, kinds: readonly SegmentKind[], cost: number): Pick<Entry, 'groups' | 'states'> {
    const before = kinds.map((kind) => from(state, kind));
    return state.id === null
      ? { groups: [{ group: ALL_HELD, score: cost }], states: before }
      : { groups: nowhere, states: [...before, from(state, 'hold', cost)] };
  }

  function entry(state: ClassState): Entry {
    switch (state.kind) {
      case 'in':
        return { ...begun(state), first: state.turn === 1 ? 0 : NEVER };
      case 'hold': {
        const skipped = begun(state);
        const first = state.turn === 1 ? COSTS.inSkipped : NEVER;
        return { ...skipped, states: [...skipped.states, from(state, 'in')], first };
      }
      case 'out':
        return { ...between(state, [], 0), first: NEVER };
      case 'rest':
        return { ...between(state, ['out'], COSTS.outSkipped), first: NEVER };
      case 'talk':
      case 'shown': {
        const { groups, states: before } = between(state, BETWEEN_KINDS, COSTS.outSkipped);
        if (state.id !== null) return { groups, states: before, first: NEVER };
        return { groups: [...groups, { group: BREATHED, score: 0 }], states: before, first: 0 };
      }
      case 'breath':
        return { groups: breathed, states: [], first: 0 };
    }
  }

  return {
    states,
    groups: GROUPS,
    groupOf: (state) => {
      if (state.kind === 'in') return undefined;
      if (state.kind === 'breath') return { group: BREATHED, score: 0 };
      if (state.kind !== 'hold') return { group: BETWEEN, score: unfinished(state) };
      return { group: isFirstOfTwo(state) ? FIRST_HELD : ALL_HELD, score: unfinished(state) };
    },
    entry,
    last: (state) => (state.kind === 'in' ? NEVER : unfinished(state)),
  };
}
