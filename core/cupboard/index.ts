/** The cupboard: places and their stock, what a plan needs for a group, substitutes, what to bring, and room to lie. */
export {
  availableIn,
  newPlace,
  ownKindsOf,
  Place,
  PLACE_FORMAT,
  PLACE_VERSION,
  readPlace,
  SETTINGS,
  STOCKED,
  type Setting,
} from './place';
export { momentsOf, propNeeds, withOtherSetUp, type KindNeed, type Moment, type Want } from './moments';
export { isAtHand } from './at-hand';
export { assignProps, type Assignment, type Given, type Unmet } from './assign';
export { insteadPieces, propDemand, unmetPieces, type Demand, type MetMoment } from './demand';
export { rowsInstead, SUBSTITUTES, substitutesFor, type Pieces, type Substitute } from './substitutes';
export { propSolutions, type PropSolution } from './solutions';
export {
  capacityOf,
  groupTooLarge,
  headsAtWall,
  matsOnFloor,
  peopleAtWall,
  wallTurns,
  type Capacity,
  type Heads,
  type LaidMat,
} from './room';
export { packingList, type PackedKind, type PackingList } from './packing';
export { HOUSEHOLD, homeSetUp, type HomeRow, type HomeSetUp } from './home';
