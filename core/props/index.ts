/** Props: kinds and their folds, set-ups and their mirror, and the least moves from one set-up to the next. */
export {
  isBand,
  isKnownKind,
  isCustomKind,
  loadedHeightCm,
  PROP_KINDS,
  PROP_KIND_NAMES,
  propKind,
  propState,
  sizeOfPiece,
  customKindName,
} from './kinds';
export type { KnownKind, PropKind, Sized } from './kinds';
export { MAX_FACES, customKindLabel, CustomKind, CustomSize } from './own';
export { placeInWords, placesFor, PROP_PLACES, PROP_PLACE_NAMES, type PropPlace } from './places';
export {
  SetUp,
  SetUpRow,
  haveSameRows,
  mirrorSetUp,
  movesAtSwitch,
  piecesByKind,
  placedProps,
  MAX_PIECES,
} from './setup';
export type { PlacedProp, PropSide } from './setup';
export { freeFor, rowFor, usualPlace, withOneFewer, withStack, type CustomFace } from './change';
export { propMoves, type PropMove } from './moves';
export { isStacked, stackFor, type Available, type Stack } from './stacks';
export {
  movesInWords,
  moveLines,
  pieceCount,
  setUpInWords,
  setUpRowInWords,
  stackHeightCm,
  type MoveInWords,
  type MoveSort,
} from './words';
