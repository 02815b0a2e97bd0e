/** The outline: a plan as a teacher types it, written exactly and read with every guess shown. */
export { MAX_OUTLINE, readOutline } from './read';
export { stepsInOutline, writeOutline } from './write';
export { nameIndex, type NameIndex } from './names';
export type { Question, ReadLine, ReadOutline } from './types';
