/** Handing over: documents as files that other programs read. */
export {
  breathCountsOf,
  captionsOf,
  chaptersOf,
  classReader,
  entryOfName,
  ownCaptions,
  measuredLengths,
  planOfClass,
  readCaptionsFile,
  sidesInAll,
  spokenEntries,
  spokenId,
  spokenWords,
  webVtt,
  type CaptionCue,
  type CaptionLanguage,
  type CaptionsProblem,
  type ClassSegment,
  type Doubt,
  type FixedSegment,
  type PhraseRow,
  type PlaceRow,
  type ReadClass,
  type Reason,
  type SegmentKind,
  type SpokenEntry,
  type SpokenLine,
  type SpokenWord,
  type UnknownName,
} from './captions';
export { csv, planTable } from './table';
export { calendarFile, type ClassEvent } from './calendar';
export { classEvent, planOfUid } from './class-event';
export { courseEvents } from './course-events';
export { readCalendar, type CalendarDate } from './read-calendar';
export {
  nameIndex,
  readOutline,
  stepsInOutline,
  writeOutline,
  type NameIndex,
  type Question,
  type ReadLine,
  type ReadOutline,
} from './outline';
export { MAX_FILE_BYTES, recognise, type Recognised } from './recognise';
export {
  handoutOf,
  handoutPage,
  homePlan,
  type Handout,
  type HandoutFigure,
  type HandoutLength,
  type HandoutPhase,
} from './handout';
export { runningOrder, type OrderRow } from './running-order';
export { checkFile, type CheckedFile } from './check';
export { practisedTable, sessionsTable } from './practised';
export {
  mixed,
  SAMPLES_A_MS,
  soundKey,
  soundsOf,
  stretchesOf,
  type Sound,
  type SoundEvent,
  type WantedSounds,
} from './sound';
export {
  courseTable,
  courseText,
  hoursTable,
  personText,
  placeText,
  positionText,
  sessionTable,
  sessionText,
  stockTable,
  techniqueText,
  type ClassLine,
} from './text';
export {
  COLUMN_MEANINGS,
  filledIn,
  KEEP_WORDS,
  LEAVE_OUT,
  peopleIn,
  readPeopleTable,
  takenAs,
  withConditions,
  type AskedCondition,
  type ColumnMeaning,
  type PersonRow,
} from './people-table';
