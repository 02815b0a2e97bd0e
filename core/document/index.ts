/** Documents: their fields, reading them from outside, history, merging, and problems in words. */
export { Id, oneOf, seconds, text, words } from './fields';
export { fieldIssues, type FieldIssue } from './issues';
export { sameTag, Tag, tagsOf } from './tags';
export { migrate, readDocument, type DocumentKind, type Migration, type Read } from './read';
export { mergeChanges, type KeyOf } from './merge';
export { outcomeOfSave, type Revised } from './revision';
export {
  MAX_UNDO,
  rebase,
  record,
  redo,
  seal,
  startHistory,
  undo,
  type Change,
  type Entry,
  type History,
} from './history';
