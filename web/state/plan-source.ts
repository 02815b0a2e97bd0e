import { editedPlan, readPlan, setDetails, type Plan } from '#core/plan';
import { planClient } from '../client/documents';
import { createPlan } from '../client/plans';
import { sourceOf } from '../sync/source';
import type { DocumentSource } from '../sync/document-source';

/** A plan of the server; if two versions of it cannot be merged, the one that is not chosen is kept as a copy. */
export const planSource = (id: string): DocumentSource<Plan> => ({
  ...sourceOf(`plan.${id}`, readPlan, planClient.at(id)),
  async keepCopy(other) {
    await createPlan(editedPlan(other, setDetails({ title: `${other.title.slice(0, 180)} (other version)` })));
  },
});
