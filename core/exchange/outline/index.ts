/** The outline: a plan as a teacher types it, written exactly and read with every guess shown. */
export { MAX_OUTLINE, readOutline, type OutlineOptions } from './read';
export { writeOutline, type WrittenOutline } from './write';
export { nameIndex, type NameIndex, type Vocabulary } from './names';
export type { Mark } from './line';
export type { Choice, Question, ReadLine, ReadOutline } from './types';
