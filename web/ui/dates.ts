import { lightFormat, parseISO, startOfWeek, type Day } from 'date-fns';
import { shallowRef } from 'vue';

/** How dates and times are written: by a locale’s order, on its clock, and with its first day of the week. */
export interface DateStyle {
  /** A locale in English words, such as `en-GB`; its region decides the order of day and month. */
  locale: string;
  hour12: boolean;
  /** 0 is Sunday. */
  firstDay: Day;
}

/** The locale in which dates stand: English words, as the rest of the interface, in the order of the device’s region. */
function englishLocaleOf(language: string): string {
  const locale = new Intl.Locale(language).maximize();
  return locale.language === 'en' ? language : `en-${locale.region ?? 'GB'}`;
}

/** Browsers know the weeks of a region by a function or, earlier, by a property; some do not know them. */
interface WithWeekInfo extends Intl.Locale {
  getWeekInfo?: () => { firstDay: number };
  weekInfo?: { firstDay: number };
}

/** What a browser’s language says about dates. */
export function dateStyleOf(language: string): DateStyle {
  const locale = englishLocaleOf(language);
  const { hour12 = false } = new Intl.DateTimeFormat(language, { hour: 'numeric' }).resolvedOptions();
  const region = new Intl.Locale(locale) as WithWeekInfo;
  const week = region.getWeekInfo?.() ?? region.weekInfo;
  return { locale, hour12, firstDay: ((week?.firstDay ?? 1) % 7) as Day };
}

const BRITISH: DateStyle = { locale: 'en-GB', hour12: false, firstDay: 1 };
const style = shallowRef<DateStyle>(BRITISH);

/** Writes dates and times from now on in this style; what is on screen follows. */
export function setDateStyle(wanted: DateStyle): void {
  style.value = wanted;
}
/** The style in use; reactive. */
export const dateStyle = (): DateStyle => style.value;

const made = new Map<string, Intl.DateTimeFormat>();
function formatted(when: number | Date, options: Intl.DateTimeFormatOptions): string {
  const { locale } = style.value;
  const key = `${locale} ${JSON.stringify(options)}`;
  let known = made.get(key);
  if (!known) {
    known = new Intl.DateTimeFormat(locale, options);
    made.set(key, known);
  }
  return known.format(when);
}

/** `Thu 7 Nov`, or as the region orders it. */
export const dayOf = (ms: number): string => formatted(ms, { weekday: 'short', day: 'numeric', month: 'short' });

/** `Thursday 7 November`. */
export const longDayOf = (ms: number): string => formatted(ms, { weekday: 'long', day: 'numeric', month: 'long' });

/** `19:02`, or `7:02 pm` where the clock has twelve hours. */
export const clockTime = (ms: number): string =>
  style.value.hour12
    ? formatted(ms, { hour: 'numeric', minute: '2-digit', hour12: true }).replaceAll('\u202f', ' ')
    : formatted(ms, { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' });

/** A plan’s local start as `Thursday 26 November, 18:30`; empty if none is set. */
export function startInWords(startsAt: string | null): string {
  if (!startsAt) return '';
  const ms = parseISO(startsAt).getTime();
  return `${longDayOf(ms)}, ${clockTime(ms)}`;
}

/** A day as `23 Nov`: of a moment, or of a date such as `2026-11-23`. */
export const shortDayOf = (when: number | string): string =>
  formatted(typeof when === 'number' ? when : parseISO(when), { day: 'numeric', month: 'short' });

const WITH_YEAR: Intl.DateTimeFormatOptions = { day: 'numeric', month: 'short', year: 'numeric' };
/** A date such as `2026-11-23` with its year, as `23 Nov 2026`. */
export const dayInWords = (date: string): string => formatted(parseISO(date), WITH_YEAR);
/** A moment with its year, as `23 Nov 2026, 18:30`. */
export const momentInWords = (ms: number): string => `${formatted(ms, WITH_YEAR)}, ${clockTime(ms)}`;

/** The day a week begins with, as `2026-11-23`, by the first day of the week in use. */
export const weekOf = (ms: number): string =>
  lightFormat(startOfWeek(ms, { weekStartsOn: style.value.firstDay }), 'yyyy-MM-dd');
