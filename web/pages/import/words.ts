import { shortDayOf, startInWords } from '../../ui/dates';

const MOMENT = /\b(\d{4}-\d\d-\d\d)(?:(?:T|, )(\d\d:\d\d))?/gu;

/** Days and moments in a text as the user writes dates: `2026-12-01, 18:30` becomes `Tue, 1 Dec, 18:30`. */
export const withDates = (text: string): string =>
  text.replace(MOMENT, (_, day: string, clock: string | undefined) =>
    clock === undefined ? shortDayOf(day) : startInWords(`${day}T${clock}`),
  );
