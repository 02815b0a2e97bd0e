import type { PaceOfRun } from '#core/review';
import type { Store } from '../store/store';
import { runWorkings } from '../store/run-workings';

/** A teacher's ways change: forecasts learn from so many of the latest runs. */
const LATEST = 60;

/**
 * How the latest runs that were led to their end went against their plans, the latest first, and how many could not be
 * read.
 */
export async function latestPaces(store: Store): Promise<{ runs: PaceOfRun[]; unreadable: number }> {
  const rows = await store.runs.findAll({
    attributes: ['id'],
    where: { deletedMs: null },
    order: [['createdMs', 'DESC']],
    limit: LATEST,
  });
  const workings = await runWorkings(store, rows);
  const found = rows.flatMap(({ id }) => workings.get(id) ?? []);
  const whole = found.filter(({ summary }) => summary.unreadable === 0);
  return { runs: whole.flatMap(({ pace }) => pace ?? []), unreadable: rows.length - whole.length };
}
