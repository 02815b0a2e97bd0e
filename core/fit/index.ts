/**
 * Fit: lengths that come as near to an hour as they can with the least harm; what does it where none can; what a minute
 * costs.
 */
export { fitHolds, type Fit } from './fit';
export { classEndsAt, FIT_GRIDS, FitOptions, lastRestIndex, targetLength, usualFitOptions } from './options';
export type { FittedLength, Planned } from './planned';
export { exactGrid } from './exact-grid';
export { freeLengths } from './free';
export { wayEdit, type Way } from './ways';
export { priceOf, type Price } from './price';
export { changeInWords, fitInWords, makeUpInWords, priceInWords, wayInWords } from './words';
export { fitToEndOnTime, type OnTimeFit } from './end-on-time';
