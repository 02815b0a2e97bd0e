import { z } from 'zod';
import { Id } from '#core/document';
import { Plan, PlanChange } from '#core/plan';
import { Ribbon, Totals } from './timeline';
import { Unreadable } from './unreadable';

export const PlanId = Id;
const Moment = z.iso.datetime();
const Revision = z.int().min(1);

/** A plan as stored: its document, and the revision a change has to name. */
export const StoredPlan = z.object({
  id: PlanId,
  revision: Revision,
  createdAt: Moment,
  updatedAt: Moment,
  document: Plan,
});
export type StoredPlan = z.infer<typeof StoredPlan>;

const { title, approach, group, groupId, groupSize, place, cupboard, startsAt } = Plan.shape;
/** What is shown of a plan in a list, without its document. */
export const PlanSummary = z.object({
  title,
  approach,
  group,
  groupId,
  groupSize,
  place,
  cupboard,
  startsAt,
  totals: Totals,
  ribbon: Ribbon,
});
export type PlanSummary = z.infer<typeof PlanSummary>;

/** A plan in a list, with when it was last taught. */
export const ListedPlan = StoredPlan.omit({ document: true }).extend({
  summary: PlanSummary,
  lastTaughtAt: Moment.nullable(),
  runs: z.int().min(0),
});
export type ListedPlan = z.infer<typeof ListedPlan>;

export const ListPlansQuery = z.strictObject({
  search: z.string().max(200).default(''),
  /** Only plans with a step made from this entry of the library. */
  uses: Id.optional(),
  /** Only plans for this group, or for this place. */
  groupId: Id.optional(),
  cupboard: Id.optional(),
  /** Only plans that begin at this local moment or later, the first of them first. */
  startsFrom: Plan.shape.startsAt.unwrap().optional(),
  limit: z.coerce.number().int().min(1).max(100).default(50),
  offset: z.coerce.number().int().min(0).max(1_000_000).default(0),
});
export type ListPlansQuery = z.infer<typeof ListPlansQuery>;
export const ListPlansResponse = z.object({
  plans: z.array(ListedPlan),
  total: z.int().min(0),
  unreadable: Unreadable,
});
export type ListPlansResponse = z.infer<typeof ListPlansResponse>;

/**
 * `document` is read with `readPlanFile`, so that older versions are taken and every wrong field is named. The entries of
 * one's own that it carries come into the library with it.
 */
export const CreatePlanRequest = z.strictObject({ id: PlanId.optional(), document: z.unknown() });
export const SavePlanRequest = z.strictObject({ revision: Revision, document: z.unknown() });
/** What a save is answered with: the document is what was sent. */
export const SavedPlan = z.object({ id: PlanId, revision: Revision, updatedAt: Moment });
export type SavedPlan = z.infer<typeof SavedPlan>;

/** A stale write: the plan as it is now, and what was sent, so that neither is lost. */
export const ConflictResponse = z.object({ current: StoredPlan, yours: Plan });
export type ConflictResponse = z.infer<typeof ConflictResponse>;

/**
 * A version of a plan: the last of several saves that followed each other closely. `changes` are those since the version
 * before it; null for the earliest that is kept, unless the plan was made then.
 */
export const PlanVersion = z.object({
  revision: Revision,
  savedAt: Moment,
  title: z.string(),
  changes: z.array(PlanChange).nullable(),
  isFirst: z.boolean(),
});
export type PlanVersion = z.infer<typeof PlanVersion>;
/** The latest version first; `unreadable` are saves that this Zovrin cannot read. */
export const ListVersionsResponse = z.object({ versions: z.array(PlanVersion), unreadable: Unreadable });
export const StoredRevision = z.object({ revision: Revision, savedAt: Moment, document: Plan });
export type StoredRevision = z.infer<typeof StoredRevision>;

export const BinKind = z.enum(['plan', 'run', 'entry', 'person', 'group', 'place', 'journal']);
export type BinKind = z.infer<typeof BinKind>;

/** What lies in the bin, and until when. */
export const BinnedItem = z.object({
  kind: BinKind,
  id: PlanId,
  title: z.string(),
  deletedAt: Moment,
  goneAt: Moment,
});
export type BinnedItem = z.infer<typeof BinnedItem>;
export const BinResponse = z.object({ items: z.array(BinnedItem) });
export type BinResponse = z.infer<typeof BinResponse>;
