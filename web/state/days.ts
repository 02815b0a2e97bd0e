import { lightFormat } from 'date-fns';

/** A moment on the clock of this place, without a zone: `2026-11-26T18:30`. */
export const localMoment = (moment: Date): string => lightFormat(moment, "yyyy-MM-dd'T'HH:mm");

/** The day it is here: `2026-11-26`. */
export const today = (): string => localMoment(new Date()).slice(0, 10);
