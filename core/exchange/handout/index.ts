/** The handout: a page for a student that leads itself at home. */
export { handoutOf, homePlan } from './handout';
export { handoutPage, type HandoutFigure } from './page';
export type { Handout, HandoutLength, HandoutPhase } from './types';
