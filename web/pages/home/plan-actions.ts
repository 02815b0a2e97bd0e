import { editedPlan, setDetails, type PlanEdit, type PlanFile } from '#core/plan';
import type { ListedPlan } from '#api';
import { planClient } from '../../client/documents';
import { createPlan } from '../../client/plans';
import { savePlanFile } from '../../state/files';
import { useLibrary } from '../../state/library';

/*
 * What is done with plans of a list. It comes with the first use: the list itself needs no library. Each throws what
 * the client throws.
 */

const documentOf = async ({ id }: ListedPlan) => (await planClient.at(id).read()).document;

/** Makes a plan with the custom entries that come with it, and gives its id. */
export async function makePlan({ plan, entries }: PlanFile): Promise<string> {
  const { id } = await createPlan(plan, entries);
  if (entries.length > 0) await useLibrary().reload();
  return id;
}

/** Copies a plan, without its date and out of the archive, and gives the id of the copy. */
export async function copyPlan(listed: ListedPlan): Promise<string> {
  const plan = await documentOf(listed);
  const title = `${plan.title.slice(0, 190)} (copy)`;
  return makePlan({ plan: editedPlan(plan, setDetails({ title, startsAt: null, archived: false })), entries: [] });
}

/** Downloads a plan as a file, with the custom entries that it uses. */
export async function downloadPlan(listed: ListedPlan): Promise<void> {
  await useLibrary().ready();
  savePlanFile(await documentOf(listed));
}

/** Changes a plan as it is stored now. */
export async function changePlan({ id }: ListedPlan, edit: PlanEdit): Promise<void> {
  const { revision, document } = await planClient.at(id).read();
  await planClient.at(id).save(revision, editedPlan(document, edit));
}
