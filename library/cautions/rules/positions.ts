import type { Rule } from '#core/caution';
import { LEGS } from './legs';
import { LOW_HEAD } from './low-head';
import { LYING } from './lying';
import { ON_BODY } from './on-body';
import { SINGLE } from './single-positions';
import { SPINE } from './spine';

/** Cautions on positions: on what they demand of a body, on what lies on it, and on single ones. */
export const POSITION_RULES: readonly Rule[] = [...LOW_HEAD, ...LYING, ...ON_BODY, ...LEGS, ...SPINE, ...SINGLE];
