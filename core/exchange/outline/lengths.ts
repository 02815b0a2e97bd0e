import type { Seconds } from '#core/numbers';
import { NUMBER_WORDS } from '#core/time';
import type { OpenLine } from './line';

/** A length of time found in a line. */
export interface FoundLength {
  from: number;
  to: number;
  kind: 'length' | 'breaths' | 'remaining';
  /** Of a range, the length between its ends; of breaths, their number. */
  seconds: Seconds;
  range?: { min: Seconds; max: Seconds };
}

const NUMBER = String.raw`(?:\d+(?:[.,]\d{1,3})?[½¼¾]?|[½¼¾])`;
const WORDS: Readonly<Record<string, number>> = { ...NUMBER_WORDS, 'forty-five': 45 };
const WORD = Object.keys(WORDS)
  .sort((a, b) => b.length - a.length)
  .join('|');
const UNIT = String.raw`(?:hours?|hrs?|h|minutes?|mins?|min|m|seconds?|secs?|s)(?![\p{L}])\.?|''|['′]|["″”](?!\s*(?:blocks?|bricks?|high|thick|tall|from|away|wide|long|blankets?))`;
const DASH = String.raw`\s*(?:-|–|—|to|or)\s*`;

const FRACTIONS: Readonly<Record<string, number>> = { '½': 0.5, '¼': 0.25, '¾': 0.75 };
function numberOf(typed: string): number {
  const fraction = FRACTIONS[typed.at(-1) ?? ''];
  if (fraction === undefined) return WORDS[typed] ?? Number(typed.replace(',', '.'));
  return Number(typed.slice(0, -1).replace(',', '.')) + fraction;
}

function unitSeconds(unit: string): number {
  if (/^["″”]|^''/.test(unit) || unit.startsWith('s')) return 1;
  return unit.startsWith('h') ? 3600 : 60;
}

const clockSeconds = (typed: string): number =>
  typed.split(':').reduce((sum, piece) => sum * 60 + Number(piece === '' ? 0 : piece.replace(',', '.')), 0);
const CLOCK = String.raw`(?:\d{1,2}:)?\d{0,3}:[0-5]\d(?:\.\d{1,3})?`;

const between = (min: Seconds, max: Seconds): Seconds => {
  const middle = (min + max) / 2;
  const rounded = Math.round(middle / 15) * 15;
  return rounded >= min && rounded <= max ? rounded : middle;
};
const rounded = (seconds: number): Seconds => Math.round(seconds * 1000) / 1000;

interface Form {
  pattern: RegExp;
  read: (match: readonly string[]) => Omit<FoundLength, 'from' | 'to'> | undefined;
}

function rangeOf(one: number, other: number): Omit<FoundLength, 'from' | 'to'> {
  const [min, max] = [rounded(Math.min(one, other)), rounded(Math.max(one, other))];
  return { kind: 'length', seconds: between(min, max), range: { min, max } };
}

/** The forms a length is written in, those that hold others first. */
const FORMS: readonly Form[] = [
  {
    pattern:
      /(?:the\s+)?\b(?:rest|remainder) of (?:the\s+)?(?:time|class|hour|session)\b|\b(?:rest|remaining) time\b|\b(?:till|until|to)\s+(?:the\s+)?end(?:\s+of\s+(?:the\s+)?(?:time|class|hour|session))?\b|\bwhat(?:ever)?(?:'s| is) left\b(?:\s+of\s+(?:the\s+)?(?:time|class|hour|session))?|\bthe rest$/u,
    read: () => ({ kind: 'remaining', seconds: 0 }),
  },
  {
    pattern: new RegExp(String.raw`(?<![\d:])(${CLOCK})${DASH}(${CLOCK})(?![\d:])`, 'u'),
    read: ([, min = '', max = '']) => rangeOf(clockSeconds(min), clockSeconds(max)),
  },
  {
    pattern: new RegExp(String.raw`(?<![\d:.,\p{L}])(${NUMBER})\s*(${UNIT})?${DASH}(${NUMBER})\s*(${UNIT})`, 'u'),
    read: ([, one = '', oneUnit, other = '', unit = '']) =>
      rangeOf(numberOf(one) * unitSeconds(oneUnit ?? unit), numberOf(other) * unitSeconds(unit)),
  },
  {
    pattern: new RegExp(String.raw`(?<![\d:])${CLOCK}(?:\s*(?:min|mins|minutes|h|hours?))?(?![\d:\p{L}])`, 'u'),
    read: ([typed = '']) => ({ kind: 'length', seconds: clockSeconds(typed.replace(/\s*[a-z]+$/, '')) }),
  },
  {
    pattern: new RegExp(
      String.raw`(?<![\d:.,\p{L}])(${NUMBER})\s*(hours?|hrs?|h|minutes?|mins?|min|m|['′])(?![\p{L}])\.?\s*(?:and\s+)?(\d{1,2})(?!\d)\s*(${UNIT})?(?![\d\p{L}]|\s*(?:x\b|people|ppl|blankets?|blocks?|bolsters?|straps?|pillows?|cushions?|rounds?|breaths?))`,
      'u',
    ),
    read: ([, amount = '', unit = '', more = '', moreUnit]) => {
      const smaller = moreUnit === undefined ? unitSeconds(unit) / 60 : unitSeconds(moreUnit);
      if (smaller < 1 || smaller >= unitSeconds(unit)) return undefined;
      return { kind: 'length', seconds: numberOf(amount) * unitSeconds(unit) + Number(more) * smaller };
    },
  },
  {
    pattern: new RegExp(
      String.raw`(?<![\d:.,\p{L}])(${NUMBER})\s*-?\s*(${UNIT})(?:\s+and\s+a\s+(half|quarter)\b)?`,
      'u',
    ),
    read: ([, amount = '', unit = '', part]) => ({
      kind: 'length',
      seconds: (numberOf(amount) + (part === 'half' ? 0.5 : part === 'quarter' ? 0.25 : 0)) * unitSeconds(unit),
    }),
  },
  {
    pattern: /\bhalf\s+(?:a|an)\s+(hour|minute|min)\b/u,
    read: ([, unit = '']) => ({ kind: 'length', seconds: unitSeconds(unit) / 2 }),
  },
  {
    pattern: new RegExp(
      String.raw`\b(${WORD})(?:\s+(and\s+a\s+half))?\s+(hours?|minutes?|mins?|seconds?|secs?)(?:\s+and\s+a\s+(half))?\b`,
      'u',
    ),
    read: ([, amount = '', half, unit = '', halfAfter]) => ({
      kind: 'length',
      seconds: (numberOf(amount) + (half || halfAfter ? 0.5 : 0)) * unitSeconds(unit),
    }),
  },
  {
    pattern: new RegExp(
      String.raw`(?<![\d:.,\p{L}])(\d{1,3}|${WORD})\s*(?:(?:slow|deep|long|full|easy|quiet)\s+)*breaths?\b`,
      'u',
    ),
    read: ([, amount = '']) => ({ kind: 'breaths', seconds: numberOf(amount) }),
  },
];

/** The lengths of a line, in its order; each is taken. What stands before one to say that it is not exact goes with it. */
export function takeLengths(line: OpenLine): FoundLength[] {
  const found: FoundLength[] = [];
  for (const { pattern, read } of FORMS) {
    for (let match = pattern.exec(line.text); match; match = pattern.exec(line.text)) {
      const [from, to] = [match.index, match.index + match[0].length];
      const length = read(match);
      if (!length) break;
      const about = /(?:\b(?:about|approx(?:imately)?\.?|around|roughly|circa|ca\.?|c\.|for|of)|~|≈)\s*$/u.exec(
        line.text.slice(0, from),
      );
      if (about) line.drop(about.index, from);
      line.take(from, to);
      found.push({ ...length, seconds: rounded(length.seconds), from, to });
    }
  }
  return found.sort((a, b) => a.from - b.from);
}

const BARE = new RegExp(String.raw`(?<![\d\p{L}.,:/"“'#])(${NUMBER})(?![\d\p{L}%:"”/]|[.,]\d|\s*(?:cm|x\b))`, 'u');
const BARE_RANGE = new RegExp(
  String.raw`(?<![\d\p{L}.,:/"“'#-])(${NUMBER})\s*(?:-|–|to)\s*(${NUMBER})(?![\d\p{L}%:"”/-]|[.,]\d)`,
  'u',
);
/** Up to so many, a number alone is minutes of a hold; nobody holds for a second or two. */
const MAX_MINUTES = 20;

/** A number alone as a length: minutes up to 20, else seconds; `asMinutes` is what a larger one may also have meant. */
export function takeBareLength(line: OpenLine): (FoundLength & { asMinutes?: Seconds }) | undefined {
  const range = BARE_RANGE.exec(line.text);
  if (range) {
    const [one, other] = [numberOf(range[1] ?? ''), numberOf(range[2] ?? '')];
    const to = range.index + range[0].length;
    if (Math.max(one, other) > 0 && Math.max(one, other) <= MAX_MINUTES) {
      line.take(range.index, to);
      return { ...rangeOf(one * 60, other * 60), from: range.index, to };
    }
  }
  const match = BARE.exec(line.text);
  if (!match) return undefined;
  const amount = numberOf(match[1] ?? '');
  const [from, to] = [match.index, match.index + match[0].length];
  if (amount <= 0) return undefined;
  const large = amount > MAX_MINUTES;
  line.take(from, to, !large || amount > 60);
  const seconds = rounded(large ? amount : amount * 60);
  return { kind: 'length', seconds, from, to, ...(large && amount <= 60 && { asMinutes: amount * 60 }) };
}
