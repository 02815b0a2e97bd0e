/** Handing over: documents as files that other programs read. */
export { breathCountsOf, captionsOf, chaptersOf, webVtt, type CaptionCue } from './captions';
export { csv, planTable } from './table';
export { calendarFile, type ClassEvent } from './calendar';
export {
  MAX_OUTLINE,
  nameIndex,
  readOutline,
  writeOutline,
  type NameIndex,
  type OutlineOptions,
  type Question,
  type ReadLine,
  type ReadOutline,
  type WrittenOutline,
} from './outline';
