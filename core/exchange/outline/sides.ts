import type { Side } from '#core/plan';
import type { FoundLength } from './lengths';
import type { OpenLine } from './line';

/** What a line says of the sides of a hold. */
export interface FoundSides {
  /** Each side, one of them, both at once, or nothing. */
  kind: 'each' | 'one' | 'together' | undefined;
  /** The side that is held, of a hold of one. */
  side: Side | undefined;
  /** The side it begins with. */
  first: Side | undefined;
  /** Only the order of two letters says which side is first: `R/L`. */
  firstByOrder: boolean;
  /** A length for each side. */
  left: number | undefined;
  right: number | undefined;
  /** The length is that of both sides added. */
  total: boolean;
  /** Twice, without a word about sides: `x2`. */
  twice: boolean;
  /** The limbs are crossed, or they are not although the position’s are. */
  crossing: boolean | undefined;
}

const LIMB = String.raw`(?:sides?|legs?|arms?|hips?|feet|foot|way|direction|knees?|shoulders?)`;
const EACH = new RegExp(
  String.raw`\b(?:(?:on\s+)?each|ea\.?|per|either|a|every)\s+${LIMB}\b|\beach\b(?:\s+(?=$|[^\p{L}]))?|\bea\b\.?|\be\/s\b|\bp\/s\b|\/\s*${LIMB}\b|\bboth\s+${LIMB}\b|\b(?:on|to)\s+both\b|\bboth\b(?=\s*(?:$|[,;.)]))`,
  'u',
);
const LEFT_RIGHT = /(?<![\p{L}\d])(left|l)\s*(?:\/|&|\+|and|then|,)\s*(right|r)(?:\s+sides?)?(?![\p{L}\d])/u;
const RIGHT_LEFT = /(?<![\p{L}\d])(right|r)\s*(?:\/|&|\+|and|then|,)\s*(left|l)(?:\s+sides?)?(?![\p{L}\d])/u;
const FIRST =
  /(?:start(?:ing)?\s+(?:on|with|to)?\s*(?:the\s+)?)?(?<![\p{L}\d])(left|right|l|r)\s*(?:side\s*|leg\s*)?first\b|\bstart(?:ing)?\s+(?:(?:on|with|to)\s+)?(?:the\s+)?(left|right)\b(?:\s+side)?/u;
const ONLY =
  /(?:\b(?:on|only)\s+(?:the\s+)?)?(?<![\p{L}\d])(left|right|l|r)\s*(?:side\s*)?only\b|\b(?:only|just)\s+(?:the\s+)?(left|right)(?:\s+side)?\b|\bon\s+the\s+(left|right)(?:\s+side)?\b/u;
const TWICE = /(?<![\p{L}\d])(?:x\s*2|2\s*x)(?![\p{L}\d])|\btwice\b/u;
const TOTAL = /\b(?:in\s+total|total|altogether|all\s+in)\b/u;

const sideOf = (...typed: (string | undefined)[]): Side | undefined => {
  const word = typed.find((one) => one !== undefined);
  return word === undefined ? undefined : word.startsWith('l') ? 'left' : 'right';
};

/** `left 3:30, right 4:00`: the length that follows a side, or stands before it, where each of two sides has one. */
function perSide(line: OpenLine, lengths: readonly FoundLength[]): { left: number; right: number } | undefined {
  const timed = lengths.filter(({ kind }) => kind === 'length');
  const [one, other] = timed;
  if (timed.length !== 2 || !one || !other) return undefined;
  const before = ({ from }: FoundLength): RegExpExecArray | null =>
    /(?<![\p{L}\d])(left|right|l|r)(?:\s+(?:side|leg))?\s*:?\s*$/u.exec(line.text.slice(0, from));
  const after = ({ to }: FoundLength): RegExpExecArray | null =>
    /^\s*(?:on\s+(?:the\s+)?)?(left|right|l|r)(?![\p{L}\d])(?!\s*first)/u.exec(line.text.slice(to));
  for (const [side, offset] of [
    [before, 'before'],
    [after, 'after'],
  ] as const) {
    const [first, second] = [side(one), side(other)];
    const [a, b] = [sideOf(first?.[1]), sideOf(second?.[1])];
    if (!first || !second || !a || !b || a === b) continue;
    for (const [match, length] of [
      [first, one],
      [second, other],
    ] as const) {
      const at = offset === 'before' ? match.index : length.to;
      line.take(at, at + match[0].length);
    }
    return a === 'left' ? { left: one.seconds, right: other.seconds } : { left: other.seconds, right: one.seconds };
  }
  return undefined;
}

/** What a line says of sides, around its lengths; everything that is understood is taken. */
export function takeSides(line: OpenLine, lengths: readonly FoundLength[]): FoundSides {
  const each = perSide(line, lengths);
  const notCrossing = line.takeMatch(/\bnot crossing\b/u);
  const crossing = notCrossing ? false : line.takeMatch(/\bcrossing\b/u) ? true : undefined;
  const firstMatch = line.takeMatch(FIRST);
  const only = line.takeMatch(ONLY);
  const leftRight = line.takeMatch(LEFT_RIGHT);
  const rightLeft = leftRight ? undefined : line.takeMatch(RIGHT_LEFT, false);
  const eachMatch = line.takeMatch(EACH);
  const twice = line.takeMatch(TWICE, eachMatch !== undefined);
  const together = line.takeMatch(/\btogether\b/u);
  const total = line.takeMatch(TOTAL);
  const isEach = each ?? leftRight ?? rightLeft ?? eachMatch;
  return {
    kind: only ? 'one' : isEach ? 'each' : together ? 'together' : undefined,
    side: sideOf(only?.[1], only?.[2], only?.[3]),
    first: sideOf(firstMatch?.[1], firstMatch?.[2]) ?? (rightLeft ? 'right' : undefined),
    firstByOrder: rightLeft !== undefined && firstMatch === undefined,
    left: each?.left,
    right: each?.right,
    total: total !== undefined,
    twice: twice !== undefined && !isEach,
    crossing,
  };
}
