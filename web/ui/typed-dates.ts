import { format, isMatch, isValid, parse, parseISO } from 'date-fns';
import { dateStyle } from './dates';

/** How a date is typed here, as a pattern of `date-fns`: `dd/MM/yyyy` in Britain, `MM/dd/yyyy` in the United States. */
export function typedPattern(): string {
  const parts = new Intl.DateTimeFormat(dateStyle().locale, { day: '2-digit', month: '2-digit', year: 'numeric' });
  const letters: Partial<Record<Intl.DateTimeFormatPartTypes, string>> = { day: 'dd', month: 'MM', year: 'yyyy' };
  return parts
    .formatToParts(Date.UTC(2026, 10, 26))
    .map(({ type, value }) => letters[type] ?? value)
    .join('');
}

/** The pattern of a time of day here. */
const typedClock = (): string => (dateStyle().hour12 ? 'h:mm a' : 'HH:mm');

const CLOCKS = ['HH:mm', 'H:mm', 'H.mm', 'h:mm a', 'h:mma', 'h a', 'ha', 'H'];
const first = (text: string, patterns: readonly string[], now: Date): Date | undefined => {
  const found = patterns.find((pattern) => isMatch(text, pattern));
  const date = found === undefined ? undefined : parse(text, found, now);
  return date && isValid(date) ? date : undefined;
};

/** The days people type, in the order in which they are tried: first as the region writes them. */
function dayPatterns(): string[] {
  const numeric = typedPattern();
  const loose = numeric.replace('dd', 'd').replace('MM', 'M');
  const short = loose.replace('yyyy', 'yy');
  const forms = [numeric, loose, short].flatMap((pattern) => [pattern, pattern.replaceAll('/', '.')]);
  return [
    'yyyy-MM-dd',
    ...forms.filter((pattern) => !pattern.includes('yyyy')),
    ...forms.filter((pattern) => pattern.includes('yyyy')),
    'd MMM yyyy',
    'd MMMM yyyy',
    'MMM d yyyy',
    'MMM d, yyyy',
    'MMMM d, yyyy',
  ];
}

/** A typed day as `2026-11-26`, read as it is written here, in ISO form or with the month in words; undefined if it is none. */
export function readDay(text: string, now = new Date()): string | undefined {
  const date = first(text.trim(), dayPatterns(), now);
  return date && format(date, 'yyyy-MM-dd');
}

/** A typed time of day as `18:30`; undefined if it is none. */
export function readClock(text: string, now = new Date()): string | undefined {
  const date = first(text.trim().toLowerCase(), CLOCKS, now);
  return date && format(date, 'HH:mm');
}

/** A day `2026-11-26` as it is typed here. */
export const typedDay = (day: string): string => (day === '' ? '' : format(parseISO(day), typedPattern()));

/** A moment `2026-11-26T18:30` as it is typed here. */
export const typedMoment = (moment: string): string =>
  moment === '' ? '' : format(parseISO(moment), `${typedPattern()} ${typedClock()}`);

/** The pattern of a day in the words of PrimeVue’s calendar. */
export const pickerPattern = (): string => typedPattern().replace('MM', 'mm').replace('yyyy', 'yy');

/** A typed moment as `2026-11-26T18:30`: a day, and after it a time of day; undefined if it is none. */
export function readMoment(text: string, now = new Date()): string | undefined {
  const words = text.trim().replace(/[,T]/g, ' ').split(/\s+/);
  // The day has one word to four; whatever follows is the time.
  for (let n = words.length - 1; n > 0; n--) {
    const day = readDay(words.slice(0, n).join(' '), now);
    const clock = readClock(words.slice(n).join(' '), now);
    if (day !== undefined && clock !== undefined) return `${day}T${clock}`;
  }
  return undefined;
}
