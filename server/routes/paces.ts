import { withOwnEntries } from '#core/catalogue';
import { paceOfRun, type PaceOfRun } from '#core/record';
import { compileTimeline } from '#core/timeline';
import { builtInLibrary } from '#library';
import { eventsOf, stored } from './runs';
import { storedEntry } from '../store/own-library';
import type { Store } from '../store/store';

/** A teacher's ways change: forecasts learn from so many of the latest runs. */
const LATEST = 60;

/** How the latest runs that were led to their end went against their plans, the latest first. */
export async function latestPaces(store: Store): Promise<PaceOfRun[]> {
  const rows = await store.runs.findAll({ where: { deletedMs: null }, order: [['createdMs', 'DESC']], limit: LATEST });
  const events = await eventsOf(
    store,
    rows.map(({ id }) => id),
  );
  const own = (await store.entries.findAll()).map(({ document }) => storedEntry(document));
  const library = withOwnEntries(builtInLibrary, own);
  return rows.flatMap((row) => {
    const { plan, events: happened } = stored(row, events.get(row.id) ?? []);
    return paceOfRun(compileTimeline(plan, library), happened) ?? [];
  });
}
