import type { Router } from 'express';
import type { ClassPeople } from '#core/caution';
import { DECISIONS } from '#api';
import type { Store } from '../../store/store';
import type { OnlyKind } from '../only-resource';
import { planSubresourceRoutes, putBeside } from '../plan-subresource';

const KIND: OnlyKind<ClassPeople> = { resource: DECISIONS, table: 'classPeople', title: 'Class' };

/** Puts what was decided for people in a plan beside it. */
export const putDecisions = (store: Store, planId: string, document: ClassPeople): Promise<void> =>
  putBeside(KIND, store, planId, document);

/** What was decided for single people in a plan. Mounted at `/plans`. */
export const decisionRoutes = (store: Store): Router => planSubresourceRoutes(KIND, store);
