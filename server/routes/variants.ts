import type { Router } from 'express';
import { NO_VARIANTS, readVariants, type Variants } from '#core/jobs';
import { StoredVariants } from '#api';
import type { Store } from '../store/store';
import { besidePlanRoutes, type BesidePlan } from './beside-plan';

const VARIANTS: BesidePlan<Variants> = {
  table: 'variants',
  noun: 'set of variants',
  title: 'Variants',
  nothing: NO_VARIANTS,
  read: readVariants,
  schema: StoredVariants,
  path: '/variants',
};

/** The variants kept beside a plan. Mounted at `/plans`. */
export const variantRoutes = (store: Store): Router => besidePlanRoutes(VARIANTS, store);
