/** The cupboard: places and their stock, what a plan needs for a group, substitutes, what to bring, and room to lie. */
export { availableIn, newPlace, customKindsOf, Place, readPlace, SETTINGS, STOCKED, type Setting } from './place';
export { momentsOf, propNeeds, withOtherSetUp, type KindNeed, type Want } from './moments';
export { isAtHand } from './at-hand';
export { assignProps, type Assignment, type Given, type Unmet } from './assign';
export { propDemand, unmetPieces, type Demand, type MetMoment } from './demand';
export { SUBSTITUTES, substitutesFor } from './substitutes';
export { propSolutions, type PropSolution } from './solutions';
export { capacityOf, fitsWall, groupTooLarge, headsAtWall, matsOnFloor, peopleAtWall, wallTurns } from './room';
export { packingList, type PackingList } from './packing';
export { HOUSEHOLD, homeSetUp, type HomeRow } from './home';
