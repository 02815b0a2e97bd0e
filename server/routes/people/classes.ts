import type { Router } from 'express';
import { NOTHING_DECIDED, readClassPeople, type ClassPeople } from '#core/caution';
import { StoredClassPeople } from '#api';
import type { Store } from '../../store/store';
import { besidePlanRoutes, putBeside, type BesidePlan } from '../beside-plan';

const CLASSES: BesidePlan<ClassPeople> = {
  table: 'classPeople',
  noun: 'class',
  title: 'Class',
  nothing: NOTHING_DECIDED,
  read: readClassPeople,
  schema: StoredClassPeople,
  path: '',
};

/** Puts what was decided for people in a class beside its plan. */
export const putClassPeople = (store: Store, planId: string, document: ClassPeople): Promise<StoredClassPeople> =>
  putBeside(CLASSES, store, planId, document);

/** What was decided for single people in a plan, by the id of the plan. */
export const classRoutes = (store: Store): Router => besidePlanRoutes(CLASSES, store);
