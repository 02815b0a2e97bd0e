import { toMs, toSeconds, type Seconds } from '#core/numbers';

/** The forms a length can be typed in, for a message beside a field. */
const DURATION_FORMS = '4:30, 4m30, 4.5 min, 270 or 1:05:00';

export type ParsedDuration = { ok: true; seconds: Seconds } | { ok: false; reason: string };

const UNIT_SECONDS = { h: 3600, m: 60, s: 1 } as const;
type Unit = keyof typeof UNIT_SECONDS;

const UNIT_WORDS: Record<string, Unit> = {
  h: 'h',
  hr: 'h',
  hrs: 'h',
  hour: 'h',
  hours: 'h',
  m: 'm',
  min: 'm',
  mins: 'm',
  minute: 'm',
  minutes: 'm',
  "'": 'm',
  '′': 'm',
  s: 's',
  sec: 's',
  secs: 's',
  second: 's',
  seconds: 's',
  '"': 's',
  '″': 's',
};

const NEXT_SMALLER: Record<Unit, Unit | undefined> = { h: 'm', m: 's', s: undefined };

const refuse = (reason: string): ParsedDuration => ({ ok: false, reason });

/** Anything a millisecond cannot hold is rounded away here, so a typed length is always a storable one. */
const accept = (seconds: Seconds): ParsedDuration => ({ ok: true, seconds: toSeconds(toMs(seconds)) });

function parseColons(text: string): ParsedDuration {
  const match = /^(?:(\d+):)?(\d*):(\d{1,2}(?:\.\d{1,3})?)$/.exec(text);
  if (!match) return refuse(`“${text}” is not a time. Type it like ${DURATION_FORMS}.`);
  const [, hours, minutes, seconds] = match;
  if (Number(seconds) >= 60) return refuse('After a colon, seconds go up to 59.');
  if (hours !== undefined && Number(minutes) >= 60) return refuse('Between two colons, minutes go up to 59.');
  return accept(Number(hours ?? 0) * 3600 + Number(minutes || 0) * 60 + Number(seconds));
}

function parseUnits(text: string): ParsedDuration {
  const unreadable = refuse(`“${text}” is not a time. Type it like ${DURATION_FORMS}.`);
  let rest = text;
  let total = 0;
  let smallest: Unit | undefined;
  while (rest !== '') {
    const match = /^(\d+(?:\.\d+)?|\.\d+)\s*([a-z]+|['"′″])?\s*/.exec(rest);
    if (!match) return unreadable;
    const [whole, amount, word] = match;
    // "4m30": a number without a unit after minutes counts seconds, after hours minutes.
    const unit: Unit | undefined = word === undefined ? smallest && NEXT_SMALLER[smallest] : UNIT_WORDS[word];
    if (unit === undefined) return unreadable;
    if (smallest !== undefined && UNIT_SECONDS[unit] >= UNIT_SECONDS[smallest]) return unreadable;
    if (smallest !== undefined && Number(amount) >= 60) {
      return refuse('After hours or minutes, the next part goes up to 59.');
    }
    total += Number(amount) * UNIT_SECONDS[unit];
    smallest = unit;
    rest = rest.slice(whole.length);
  }
  return accept(total);
}

/** What a number alone counts in a field: seconds, the minutes of a hold, or the minutes of a whole class. */
export type BareUnit = 'seconds' | 'minutes' | 'classMinutes';

/**
 * Up to so many, a number alone is taken for minutes: nobody holds for a second or two, and no class lasts sixty
 * seconds. A larger number is seconds.
 */
const MAX_BARE: Readonly<Record<BareUnit, number>> = { seconds: 0, minutes: 20, classMinutes: 360 };

/**
 * Reads a length of time as people write it: `4:30`, `4m30`, `4.5 min`, `4,5 min`, `270` (seconds), `90s`, `1:05:00`.
 * `bare` says what a small number alone counts: in a hold, `5` is five minutes; for a class, `75` is 75 minutes;
 * elsewhere it is seconds.
 * Returns seconds with at most three decimals, or the reason it cannot be read, in words for the person who typed it.
 * Never throws. Limits on what a field allows are the caller's.
 */
export function parseDuration(input: string, bare: BareUnit = 'seconds'): ParsedDuration {
  const text = input.trim().toLowerCase().replace(/,/g, '.');
  if (text === '') return refuse(`Type a time, like ${DURATION_FORMS}.`);
  if (/^[-−–]/.test(text)) return refuse('A time cannot be below zero.');
  if (text.length > 40) return refuse(`That is too long for a time. Type it like ${DURATION_FORMS}.`);
  if (text.includes(':')) return parseColons(text);
  if (/^(\d+(\.\d*)?|\.\d+)$/.test(text)) {
    const isMinutes = Number(text) <= MAX_BARE[bare];
    return accept(Number(text) * (isMinutes ? 60 : 1));
  }
  return parseUnits(text);
}
