/** Handing over: documents as files that other programs read. */
export { breathCountsOf, captionsOf, chaptersOf, webVtt, type CaptionCue } from './captions';
export { csv, planTable } from './table';
export { calendarFile, type ClassEvent } from './calendar';
