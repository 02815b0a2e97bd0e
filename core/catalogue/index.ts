/** The shape of what teachers know: positions, techniques, approaches, and how they are found by name. */
export { APPROACHES, APPROACH_LABELS, Approach } from './approach';
export {
  AREAS,
  FAMILIES,
  HoldDefaults,
  MAX_WAYS,
  Moment,
  NamedSetUp,
  Position,
  SidesKind,
  Variation,
  StageLength,
  TRAITS,
} from './position';
export { BREATH_TRAITS, Technique } from './technique';
export { BREATH_TRAIT_WORDS, TRAIT_WORDS } from './trait-words';
export { familyLabel, libraryOf, withCustomEntries, type Library } from './library';
export { comparedWords, editDistance, isEmptyWord, nameLikeness, matchScore, searchable } from './search';
export { ENERGY_LINES, linesOfAreas } from './energy-lines';
export { SITUATION_WORDS, SITUATIONS, type Situation } from './situations';
export { SPINE_WAYS, type SpineWay } from './spine';
export { MAX_SPOKEN, readSpoken, spokenAsTyped, spokenOver, SpokenLine } from './spoken';
export { countOptions, findPositions, NO_WORDS, NOTHING_CHOSEN, type Chosen, type EntryWords } from './find';
export { findTechniques } from './find-techniques';
export { nextUsualRow } from './usual-row';
export { BENDS, EFFECTS, type Bend, type Effect } from './bends';
export { counterposeFor, effectOf, needsCounterpose } from './counterpose';
export { likeness } from './likeness';
export { breathSeats, seatOf } from './seats';
export { blankPosition, blankTechnique, copyOf } from './new-entry';
export {
  ENTRY_VERSION,
  upgradedEntry,
  CustomEntry,
  positionDocument,
  readEntry,
  techniqueDocument,
} from './custom-entry';
export { withRollSide } from './roll-side';
export { wordsOnSide } from './side-words';
export { setUpFor } from './where';
export { CLASS_WHERE_NAMES, WHERE_NAMES, WHERE_WORDS, type ClassWhere, type Where } from './where-names';
