import type { Router } from 'express';
import type { Variants } from '#core/jobs';
import { VARIANTS } from '#api';
import type { Store } from '../store/store';
import type { OnlyKind } from './only-resource';
import { planSubresourceRoutes } from './plan-subresource';

const KIND: OnlyKind<Variants> = { resource: VARIANTS, table: 'variants', title: 'Variants' };

/** The variants kept beside a plan. Mounted at `/plans`. */
export const variantRoutes = (store: Store): Router => planSubresourceRoutes(KIND, store);
