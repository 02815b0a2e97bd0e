import type { Rule } from '#core/caution';
import { LEGS } from './legs';
import { LOW_HEAD } from './low-head';
import { LYING } from './lying';
import { SINGLE } from './single-positions';
import { SPINE } from './spine';

/** Cautions on positions: on what they ask of a body, and of single ones. */
export const POSITION_RULES: readonly Rule[] = [...LOW_HEAD, ...LYING, ...LEGS, ...SPINE, ...SINGLE];
