/** The shapes of every request and response, shared by the server and the interface. */
export { API_BASE } from './base';
export { Problem } from './problem';
export * from './arrange';
export * from './documents';
export * from './entries';
export * from './settings';
export * from './journal';
export * from './people';
export * from './places';
export * from './plans';
export * from './practised';
export * from './audience';
export * from './runs';
export * from './variants';
export { Ribbon } from './ribbon';
export { TimelineRequest, TimelineResponse, Totals } from './timeline';
export * from './unreadable';
