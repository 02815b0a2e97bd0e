/** Cautions: what to keep in mind for the people in the room. */
export { asksOf, inMind, type InMind } from './in-mind';
