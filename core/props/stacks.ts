import { isKnownKind, PROP_KIND_NAMES, propKind, sizeOfPiece, type PropKind, type PropSize } from './kinds';
import { customKindLabel, type CustomKind, type CustomSize } from './own';

/** How many pieces of each kind are at hand; a kind that is not named is not there. */
export type Available = Partial<Record<PropKind, number>>;

/** One piece of a stack: a kind in one of its folds or faces. */
export interface StackPiece {
  kind: PropKind;
  state: string;
  /** Only of a custom kind. */
  size?: CustomSize | undefined;
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
  'book',
]);
const MAX_PIECES = 5;
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

/** A piece as part of a stack; nothing for one too thin to count. */
function candidateOf(piece: StackPiece, { widthCm, depthCm, heightCm, giveCm }: PropSize): Candidate[] {
  const height = Math.round(10 * (heightCm - giveCm));
  const alone = heightCm > TIPS_OVER * Math.min(widthCm, depthCm);
  return height < 10 * THINNEST_CM ? [] : [{ ...piece, height, area: widthCm * depthCm, give: giveCm, alone }];
}

const KNOWN: readonly Candidate[] = PROP_KIND_NAMES.filter((kind) => STACKED.has(kind)).flatMap((kind) =>
  Object.entries(propKind(kind).states).flatMap(([state, size]) => candidateOf({ kind, state }, size)),
);

const candidatesOfOwn = (own: CustomKind): Candidate[] =>
  own.faces.flatMap(({ label, size }) => candidateOf({ kind: customKindLabel(own), state: label, size }, size));

/** Centimetres a piece gives under a body; 0 for one that has no such state. */
const giveOf = (piece: StackPiece): number => sizeOfPiece(piece)?.giveCm ?? 0;

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
 * nearest height, then the firmest; at most `most` of them. In each the widest and firmest lies below. Heights are
 * those under a body. Empty if nothing comes near enough with up to five pieces. All lengths in centimetres. `own`
 * tells the sizes of custom kinds.
 */
export function stackFor(
  heightCm: number,
  toleranceCm: number,
  available: Available,
  most = 4,
  own: readonly CustomKind[] = [],
): Stack[] {
  const [target, within] = [Math.round(10 * heightCm), Math.round(10 * toleranceCm)];
  const here = [...KNOWN, ...own.flatMap(candidatesOfOwn)]
    .filter(({ kind }) => (available[kind] ?? 0) > 0)
    .sort(fromTheGround);
  const found: Stack[] = [];
  const left = new Map(here.map(({ kind }) => [kind, available[kind] ?? 0]));
  const chosen: Candidate[] = [];
  const highest = Math.max(0, ...here.map(({ height }) => height));

  /** Adds so many more pieces, none of them wider than the last. */
  function choose(from: number, height: number, pieces: number): void {
    if (pieces === 0) {
      if (Math.abs(height - target) > within) return;
      found.push({ pieces: chosen.map(asPiece), heightCm: height / 10, offCm: (height - target) / 10 });
      return;
    }
    if (height + pieces * highest < target - within) return;
    for (const [i, candidate] of here.entries()) {
      if (i < from) continue;
      const there = left.get(candidate.kind) ?? 0;
      if (there === 0 || height + candidate.height > target + within) continue;
      if (candidate.alone && (chosen.length > 0 || pieces > 1)) continue;
      left.set(candidate.kind, there - 1);
      chosen.push(candidate);
      choose(i, height + candidate.height, pieces - 1);
      chosen.pop();
      left.set(candidate.kind, there);
    }
  }
  // Fewest pieces come first, so once there are enough stacks no higher number has to be tried.
  for (let pieces = 1; pieces <= MAX_PIECES && found.length < most; pieces++) choose(0, 0, pieces);
  return found.sort(better).slice(0, most);
}

const asPiece = ({ kind, state, size }: Candidate): StackPiece => (size ? { kind, state, size } : { kind, state });

/** Whether a kind can be part of a stack. */
export const isStacked = (kind: PropKind): boolean => !isKnownKind(kind) || STACKED.has(kind);
