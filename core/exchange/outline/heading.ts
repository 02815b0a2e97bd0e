import { WHERE_WORDS, type Approach, type ClassWhere } from '#core/catalogue';
import type { Seconds } from '#core/numbers';
import { PLAN_LIMITS } from '#core/plan';
import { takeLengths } from './lengths';
import type { OpenLine } from './line';
import type { Questions, Reading } from './reading';

/** What a heading says of a class. */
export interface FoundHeading {
  classSeconds?: Seconds;
  approach?: Approach;
  groupSize?: number;
  startsAt?: string;
  where?: ClassWhere;
  place?: string;
}

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
const WEEKDAYS = ['sun', 'mon', 'tue', 'wed', 'thu', 'fri', 'sat'];
const MONTH = String.raw`(${MONTHS.join('|')})[a-z]*\.?`;
const DAY_MS = 86_400_000;

const two = (n: number): string => String(n).padStart(2, '0');
const dayOf = (ms: number): string => new Date(ms).toISOString().slice(0, 10);
/** The day after some days, from `2026-11-26`. */
const daysAfter = (day: string, days: number): string => dayOf(Date.parse(`${day}T00:00Z`) + days * DAY_MS);
const isDay = (year: number, month: number, day: number): boolean =>
  month >= 1 && month <= 12 && dayOf(Date.UTC(year, month - 1, day)) === `${year}-${two(month)}-${two(day)}`;

/** A day and a month in the year that puts it closest after a day, or the year that was given. */
function dayIn(today: string, month: number, day: number, year?: number): string | undefined {
  const thisYear = Number(today.slice(0, 4));
  for (const one of year === undefined ? [thisYear, thisYear + 1] : [year < 100 ? 2000 + year : year]) {
    const found = `${one}-${two(month)}-${two(day)}`;
    if (isDay(one, month, day) && (year !== undefined || found >= today)) return found;
  }
  return undefined;
}

function takeDay(line: OpenLine, { today }: Reading, questions: Questions): string | undefined {
  const iso = line.takeMatch(/(?<!\d)(\d{4})-(\d\d)-(\d\d)(?!\d)/u);
  if (iso) return isDay(Number(iso[1]), Number(iso[2]), Number(iso[3])) ? iso[0] : undefined;
  const weekday = line.takeMatch(
    new RegExp(String.raw`\b(?:(?:on|next|this)\s+)?(${WEEKDAYS.join('|')})(?:s|nes|rs|ur)?(?:day)?s?\b[,.]?`, 'u'),
  );
  const named =
    line.takeMatch(
      new RegExp(String.raw`(?<!\d)(\d{1,2})(?:st|nd|rd|th|\.)?\s+(?:of\s+)?${MONTH}(?:\s+(\d{4}))?`, 'u'),
    ) ?? line.takeMatch(new RegExp(String.raw`\b${MONTH}\s+(\d{1,2})(?:st|nd|rd|th)?(?:,?\s+(\d{4}))?(?!\d)`, 'u'));
  if (named) {
    const digits = [named[1] ?? '', named[2] ?? ''];
    const month = MONTHS.indexOf((digits.find((piece) => /^[a-z]/.test(piece)) ?? '').slice(0, 3)) + 1;
    const day = Number(digits.find((piece) => /^\d/.test(piece)));
    return dayIn(today, month, day, named[3] === undefined ? undefined : Number(named[3]));
  }
  const numbers = line.takeMatch(
    /(?<![\d.:])(\d{1,2})([./])(\d{1,2})(?:\2(\d{4}|\d{2})?)?(?![\d:]|\s*(?:min|m\b|h\b))/u,
  );
  if (numbers) {
    const [one, other, year] = [
      Number(numbers[1]),
      Number(numbers[3]),
      numbers[4] === undefined ? undefined : Number(numbers[4]),
    ];
    const days = [dayIn(today, other, one, year), dayIn(today, one, other, year)].filter((day) => day !== undefined);
    const [first, second] = days;
    if (first === undefined || second === undefined || first === second || numbers[2] === '.') return first;
    return questions.choose(
      'Which day?',
      [first, second].map((day) => ({ value: day, label: day })),
    );
  }
  if (!weekday) return undefined;
  const ahead = (WEEKDAYS.indexOf(weekday[1] ?? '') - new Date(`${today}T00:00Z`).getUTCDay() + 7) % 7;
  const next = daysAfter(today, ahead);
  return questions.choose(
    'Which day?',
    [next, daysAfter(next, 7)].map((day) => ({ value: day, label: day })),
  );
}

function takeClock(line: OpenLine): string | undefined {
  const match =
    line.takeMatch(/(?<![\d:.])(?:at\s+)?(\d{1,2})(?:[:.](\d\d))?\s*(am|pm|a\.m\.|p\.m\.)(?![\p{L}])/u) ??
    line.takeMatch(/(?<![\d:.-])(?:at\s+)?(\d{1,2})[:.h](\d\d)(?:\s*(?:h|uhr|o'clock)\b)?(?![\d:])/u);
  if (!match) return undefined;
  const half = match[3];
  const hour = (Number(match[1]) % (half ? 12 : 24)) + (half?.startsWith('p') ? 12 : 0);
  const minute = Number(match[2] ?? 0);
  return minute < 60 ? `${two(hour)}:${two(minute)}` : undefined;
}

const APPROACH_FORMS: readonly (readonly [RegExp, Approach])[] = [
  [/\brestorative\b/u, 'restorative'],
  [/\byin\b(?!\s+and\b)/u, 'yin'],
  [/\b(?:pranayama|breathwork)\b/u, 'pranayama'],
  [/\b(?:blended|mixed)\b/u, 'blended'],
];

const MIN_CLASS: Seconds = 300;

/**
 * What a line says of the class as a whole: its length, how many come, when and where. What is understood is taken.
 */
export function takeHeading(line: OpenLine, reading: Reading, questions: Questions): FoundHeading {
  const found: FoundHeading = {};
  const place = line.takeMatch(/(?:\bat\s+|\bin\s+)?["“]([^"”]+)["”]/u);
  if (place) found.place = /["“]([^"”]+)["”]/u.exec(line.typed.slice(place.index))?.[1] ?? '';
  const people = line.takeMatch(
    /(?:\b(?:for|group of|about|approx\.?)\s+)?(?<![\d.,:])(\d{1,3})\s*(?:people|persons?|ppl|pax|students?|participants?|folks|women|adults|mats)\b|\b(?:group of|for)\s+(\d{1,3})(?!\d|\s*(?:min|m\b|h\b|hour|-|to\b|:))/u,
  );
  const size = people && Number(people[1] ?? people[2]);
  if (size && size <= PLAN_LIMITS.maxGroup) found.groupSize = size;
  for (const [words, where] of (Object.entries(WHERE_WORDS) as [ClassWhere, string][]).map(([a, b]) => [b, a] as const))
    if (line.takeMatch(new RegExp(String.raw`\b${words}\b`, 'u'))) found.where = where;
  const day = takeDay(line, reading, questions);
  const early = day === undefined ? undefined : takeClock(line);
  const [length] = takeLengths(line);
  if (length?.kind === 'length' && length.seconds >= MIN_CLASS && length.seconds <= PLAN_LIMITS.maxClass)
    found.classSeconds = length.seconds;
  for (const [pattern, approach] of APPROACH_FORMS)
    if (found.approach === undefined && line.takeMatch(pattern)) found.approach = approach;
  const clock = early ?? (saysSomething(found) ? takeClock(line) : undefined);
  const startsAt = startOf(day, clock, reading.today, questions);
  return startsAt === '' ? found : { ...found, startsAt };
}

/** The beginning of a class, with a question where only its day is given, or only its hour; empty if neither is. */
function startOf(day: string | undefined, clock: string | undefined, today: string, questions: Questions): string {
  const none = { value: '', label: 'no date' };
  if (day !== undefined && clock !== undefined) return `${day}T${clock}`;
  if (day !== undefined)
    return questions.choose('At what time?', [
      { value: `${day}T18:00`, label: `${day}, 18:00` },
      { value: `${day}T19:00`, label: `${day}, 19:00` },
      none,
    ]);
  if (clock === undefined) return '';
  const days = [today, daysAfter(today, 1)].map((on) => ({ value: `${on}T${clock}`, label: `${on}, ${clock}` }));
  return questions.choose('On which day?', [...days, none]);
}

/** Whether a heading says anything. */
export const saysSomething = (found: FoundHeading): boolean => Object.keys(found).length > 0;
