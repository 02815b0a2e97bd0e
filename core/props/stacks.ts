import { PROP_KIND_NAMES, propKind, propState, type PropKind } from './kinds';

/** How many pieces of each kind are at hand; a kind that is not named is not there. */
export type Available = Partial<Record<PropKind, number>>;

/** One piece of a stack: a kind in one of its folds or faces. */
export interface StackPiece {
  kind: PropKind;
  state: string;
}

/** Pieces one on the other, from the ground up. Heights in centimetres, with a body on them. */
export interface Stack {
  pieces: StackPiece[];
  heightCm: number;
  /** How much higher (below zero: lower) than was asked. */
  offCm: number;
}

/** Kinds that lie flat under a body. A chair, a strap or the wall is no part of a stack. */
const STACKED: ReadonlySet<PropKind> = new Set([
  'flatBolster',
  'roundBolster',
  'block',
  'blanket',
  'halfMoon',
  'cushion',
  'pillow',
  'towel',
]);
const MOST_PIECES = 5;
/** Higher than this many times its narrower side, a piece tips as soon as something lies on it. */
const TIPS_OVER = 1.5;
/** Thinner than this it makes no difference anyone can see. */
const THINNEST_CM = 1;

interface Candidate extends StackPiece {
  /** Tenths of a centimetre under load, so that sums are exact. */
  height: number;
  area: number;
  give: number;
  alone: boolean;
}

const CANDIDATES: readonly Candidate[] = PROP_KIND_NAMES.filter((kind) => STACKED.has(kind)).flatMap((kind) =>
  Object.entries(propKind(kind).states).flatMap(([state, { widthCm, depthCm, heightCm, giveCm }]) => {
    const height = Math.round(10 * (heightCm - giveCm));
    const alone = heightCm > TIPS_OVER * Math.min(widthCm, depthCm);
    return height < 10 * THINNEST_CM ? [] : [{ kind, state, height, area: widthCm * depthCm, give: giveCm, alone }];
  }),
);

/** Centimetres a piece gives under a body; 0 for one that has no such state. */
const giveOf = ({ kind, state }: StackPiece): number => propState(kind, state)?.giveCm ?? 0;

/** Wide and firm below: the larger piece first, and of two as large the firmer one. */
const fromTheGround = (a: Candidate, b: Candidate): number => b.area - a.area || a.give - b.give;

/** Fewer pieces before more; then the nearer height, the firmer stack, and the order of the kinds. */
function better(a: Stack, b: Stack): number {
  const give = (stack: Stack): number => stack.pieces.reduce((sum, piece) => sum + giveOf(piece), 0);
  return (
    a.pieces.length - b.pieces.length || Math.abs(a.offCm) - Math.abs(b.offCm) || give(a) - give(b) || a.offCm - b.offCm
  );
}

/**
 * The stacks that come within `toleranceCm` of a height from what is at hand, the best first: fewest pieces, then the
 * nearest height, then the firmest; at most `most` of them. In each the widest and firmest lies below. Heights are those
 * under a body. Empty where nothing comes near enough with up to five pieces. All lengths in centimetres.
 */
export function stackFor(heightCm: number, toleranceCm: number, available: Available, most = 4): Stack[] {
  const [target, within] = [Math.round(10 * heightCm), Math.round(10 * toleranceCm)];
  const here = CANDIDATES.filter(({ kind }) => (available[kind] ?? 0) > 0).sort(fromTheGround);
  const found: Stack[] = [];
  const left = new Map(here.map(({ kind }) => [kind, available[kind] ?? 0]));
  const chosen: Candidate[] = [];

  function choose(from: number, height: number): void {
    if (chosen.length > 0 && Math.abs(height - target) <= within) {
      const pieces = chosen.map(({ kind, state }) => ({ kind, state }));
      found.push({ pieces, heightCm: height / 10, offCm: (height - target) / 10 });
    }
    if (chosen.length === MOST_PIECES || chosen.some(({ alone }) => alone)) return;
    for (let i = from; i < here.length; i++) {
      const candidate = here[i]!;
      const pieces = left.get(candidate.kind) ?? 0;
      if (pieces === 0 || height + candidate.height > target + within) continue;
      if (candidate.alone && chosen.length > 0) continue;
      left.set(candidate.kind, pieces - 1);
      chosen.push(candidate);
      choose(i, height + candidate.height);
      chosen.pop();
      left.set(candidate.kind, pieces);
    }
  }
  choose(0, 0);
  return found.sort(better).slice(0, most);
}
