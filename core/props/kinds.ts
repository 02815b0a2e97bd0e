/** Width × depth × height in centimetres as it lies, and how far it gives under the body, in centimetres. */
export interface PropSize {
  widthCm: number;
  depthCm: number;
  heightCm: number;
  giveCm: number;
}

export interface PropState extends PropSize {
  /** How a teacher says it: "basic fold", "on its edge". */
  label: string;
}

export interface PropKindInfo {
  label: string;
  plural: string;
  /** A fixture stays where it is: going to it is no carrying. */
  fixture: boolean;
  states: Readonly<Record<string, PropState>>;
}

const size = (label: string, widthCm: number, depthCm: number, heightCm: number, giveCm: number): PropState => ({
  label,
  widthCm,
  depthCm,
  heightCm,
  giveCm,
});

const kind = (label: string, states: Record<string, PropState>, plural = `${label}s`): PropKindInfo => ({
  label,
  plural,
  fixture: false,
  states,
});

/**
 * The kinds of prop and the folds or faces each can lie in.
 * Sizes are typical ones, measured on ordinary studio props; a blanket is 200 × 150 × 0.5 cm and every fold of it
 * keeps that volume.
 */
export const PROP_KINDS = {
  flatBolster: kind('bolster', { whole: size('flat side down', 66, 30, 15, 2) }),
  roundBolster: kind('round bolster', { whole: size('whole', 65, 22, 22, 3) }),
  block: kind('block', {
    flat: size('flat', 23, 15, 7.5, 0),
    edge: size('on its edge', 23, 7.5, 15, 0),
    tall: size('standing', 15, 7.5, 23, 0),
  }),
  blanket: kind('blanket', {
    open: size('open', 200, 150, 0.5, 0),
    basic: size('basic fold', 75, 50, 4, 0.8),
    longHalf: size('long half', 75, 25, 8, 1.5),
    longThirds: size('long thirds', 75, 17, 12, 2),
    quarter: size('quarter fold', 37, 50, 8, 1.5),
    rolled: size('rolled', 75, 16, 16, 3),
  }),
  halfMoon: kind('half-moon cushion', { whole: size('whole', 45, 25, 13, 3) }),
  cushion: kind('cushion', { whole: size('whole', 40, 40, 10, 5) }),
  pillow: kind('pillow', {
    whole: size('whole', 75, 50, 14, 7),
    folded: size('folded in two', 50, 38, 24, 10),
  }),
  strap: kind('strap', { open: size('open', 240, 4, 0.3, 0), loop: size('in a loop', 100, 4, 0.3, 0) }),
  chair: kind('chair', {
    upright: size('upright', 42, 42, 45, 1),
    sideways: size('turned sideways', 42, 42, 45, 1),
  }),
  headRing: kind('soft ring', { whole: size('whole', 28, 28, 7, 3) }),
  sandbag: kind('sandbag', { whole: size('whole', 45, 18, 5, 1) }),
  eyePillow: kind('eye pillow', { whole: size('whole', 22, 10, 2, 1) }),
  weightedBlanket: kind('weighted blanket', {
    open: size('open', 200, 140, 1.5, 0.5),
    folded: size('folded', 70, 50, 8, 2),
  }),
  towel: kind('towel', { folded: size('folded flat', 70, 35, 1.6, 0.4), rolled: size('rolled', 70, 9, 9, 3) }),
  stick: kind('stick', { whole: size('whole', 120, 3, 3, 0) }),
  book: kind('thick book', { flat: size('flat', 30, 22, 3.8, 0) }),
  belt: kind('belt or cord', { open: size('open', 110, 4, 0.3, 0) }, 'belts or cords'),
  scarf: kind('scarf', { folded: size('folded', 30, 12, 2, 1), open: size('open', 180, 60, 0.3, 0) }, 'scarves'),
  wall: { ...kind('wall', { whole: size('wall', 0, 0, 0, 0) }), fixture: true },
} as const satisfies Record<string, PropKindInfo>;

/** The kinds Zovrin knows the sizes of. */
export type KnownKind = keyof typeof PROP_KINDS;

/** A custom kind, by its name; each of its rows carries the size it lies in. */
export type CustomKindName = `own:${string}`;

export type PropKind = KnownKind | CustomKindName;

export const PROP_KIND_NAMES = Object.keys(PROP_KINDS) as [KnownKind, ...KnownKind[]];

const OWN = 'own:';
export const MAX_CUSTOM_NAME = 40;

export const isCustomKind = (name: string): name is CustomKindName => name.startsWith(OWN);
export const isKnownKind = (name: string): name is KnownKind => Object.hasOwn(PROP_KINDS, name);
export const customKindName = (label: string): CustomKindName => `${OWN}${label}`;

/** `bench` → `benches`, `tray` → `trays`, `lily` → `lilies`: how English makes a plural of nearly every thing. */
function pluralOf(label: string): string {
  if (/(s|x|z|ch|sh)$/i.test(label)) return `${label}es`;
  return /[^aeiou]y$/i.test(label) ? `${label.slice(0, -1)}ies` : `${label}s`;
}

/** What is known of a kind, with its states as an open table: none for a custom kind, whose rows state their size. */
export function propKind(name: PropKind): PropKindInfo {
  if (!isCustomKind(name)) return PROP_KINDS[name];
  const label = name.slice(OWN.length);
  return { label, plural: pluralOf(label), fixture: false, states: {} };
}

/** The state of a kind, or undefined if the kind has no such fold or face. */
export const propState = (name: PropKind, state: string): PropState | undefined => propKind(name).states[state];

/** A piece as it lies, with its size if its kind is custom. */
export interface Sized {
  kind: PropKind;
  state: string;
  size?: PropSize | undefined;
}

/** What a piece measures as it lies: its own size, or what is typical of its kind. */
export const sizeOfPiece = ({ kind, state, size: own }: Sized): PropSize | undefined => own ?? propState(kind, state);

/** What goes round a limb or the trunk, or from hand to foot: a strap, a belt, a scarf that is not folded. */
export const isBand = ({ kind, state }: Pick<Sized, 'kind' | 'state'>): boolean =>
  kind === 'strap' || kind === 'belt' || (kind === 'scarf' && state === 'open');

/** How high a piece stands with a body on it, in centimetres; 0 for one that has no such state. */
export function loadedHeightCm(piece: Sized): number {
  const known = sizeOfPiece(piece);
  return known ? known.heightCm - known.giveCm : 0;
}
