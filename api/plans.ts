import { z } from 'zod';
import { Id } from '#core/document';
import { Tag } from '#core/document';
import { Plan, PlanChange, readPlan } from '#core/plan';
import { Moment, pageOf, resourceOf, Revision, STORED, type StoredDocument } from './documents';
import { Ribbon } from './ribbon';
import { Totals } from './timeline';
import { Unreadable } from './unreadable';

export const PLANS = resourceOf<Plan>({ noun: 'plan', path: '/plans', document: Plan, read: readPlan });
export type StoredPlan = StoredDocument<Plan>;

const { title, approach, group, groupId, groupSize, place, cupboard, startsAt, tags, archived } = Plan.shape;
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
  tags,
  archived,
  totals: Totals,
  ribbon: Ribbon,
});
export type PlanSummary = z.infer<typeof PlanSummary>;

/** A plan in a list, with when it was last taught. */
export const ListedPlan = z.object({
  ...STORED,
  summary: PlanSummary,
  lastTaughtAt: Moment.nullable(),
  runs: z.int().min(0),
});
export type ListedPlan = z.infer<typeof ListedPlan>;

/** The latest changed, taught or dated first; the titles as a dictionary has them; the shortest class first. */
export const PlanOrder = z.enum(['changed', 'taught', 'date', 'title', 'length']);
export type PlanOrder = z.infer<typeof PlanOrder>;

export const ListPlansQuery = z.strictObject({
  search: z.string().max(200).default(''),
  /** Only plans with a step made from this library entry. */
  uses: Id.optional(),
  /** Only plans for this group, or for this place. */
  groupId: Id.optional(),
  cupboard: Id.optional(),
  /** Only plans that begin at this local moment or later, the first of them first. */
  startsFrom: Plan.shape.startsAt.unwrap().optional(),
  /** Only plans with this tag, whatever its capitals. */
  tag: Tag.optional(),
  /** Only the archived plans, or only the others; all of them where it is not said. */
  archived: z.stringbool({ truthy: ['true'], falsy: ['false'] }).optional(),
  sort: PlanOrder.default('changed'),
  limit: z.coerce.number().int().min(1).max(100).default(50),
  offset: z.coerce.number().int().min(0).max(1_000_000).default(0),
});
export type ListPlansQuery = z.infer<typeof ListPlansQuery>;
export const ListPlansResponse = pageOf(ListedPlan);
export type ListPlansResponse = z.infer<typeof ListPlansResponse>;

/** The tags of the plans that are not archived, in order, with how many plans have each; and how many are archived. */
export const PlanTagsResponse = z.object({
  items: z.array(z.object({ tag: Tag, plans: z.int().min(1) })),
  archived: z.int().min(0),
});
export type PlanTagsResponse = z.infer<typeof PlanTagsResponse>;

/** Ids of the library entries in the plans that were changed last: as many plans as `plans` says, or fewer. */
export const UsedEntriesResponse = z.object({ plans: z.int().min(0), items: z.array(z.string()) });
export type UsedEntriesResponse = z.infer<typeof UsedEntriesResponse>;

/**
 * A version of a plan: the last of several saves that followed each other closely. `changes` are those since the
 * version before it; null for the earliest that is kept, unless the plan was made then.
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
export const ListVersionsResponse = z.object({ items: z.array(PlanVersion), unreadable: Unreadable });
export const StoredRevision = z.object({ revision: Revision, savedAt: Moment, document: Plan });
export type StoredRevision = z.infer<typeof StoredRevision>;

export const BinKind = z.enum(['plan', 'run', 'entry', 'person', 'group', 'place', 'course', 'journal']);
export type BinKind = z.infer<typeof BinKind>;

/** What lies in the bin, and until when. */
export const BinnedItem = z.object({
  kind: BinKind,
  id: Id,
  title: z.string(),
  deletedAt: Moment,
  goneAt: Moment,
});
export type BinnedItem = z.infer<typeof BinnedItem>;
export const BinResponse = z.object({ items: z.array(BinnedItem) });
export type BinResponse = z.infer<typeof BinResponse>;
