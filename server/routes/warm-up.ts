import { ListPlansQuery } from '#api';
import { runWorkings } from '../store/run-workings';
import type { Store } from '../store/store';
import { listPlans } from './plan-lists';

/** So many of the latest sessions are shown first. */
const LATEST_RUNS = 40;

/** Works out what the first pages show of plans and sessions, so that nobody waits for it. */
export async function warmUp(store: Store): Promise<void> {
  await listPlans(store, ListPlansQuery.parse({}));
  const latest = await store.runs.findAll({
    attributes: ['id'],
    where: { deletedMs: null },
    order: [['createdMs', 'DESC']],
    limit: LATEST_RUNS,
  });
  await runWorkings(store, latest);
}
