import { compareRun, paceOfRun, practisedOfRun, comparisonInWords } from '#core/review';
import type { Library } from '#core/catalogue';
import { compileTimeline, ribbonBlocks } from '#core/timeline';
import { PractisedOnce, RunSummary } from '#api';
import { Op } from 'sequelize';
import type { RunRow } from './models';
import { wholeLibrary } from './custom-entries';
import { sliced } from './sliced';
import type { Store } from './store';
import { readable } from './stored';
import type { RunWorkings } from './workings';
import { eventsOf, storedRun, type StoredEvent } from './stored-runs';

/** So many runs are read at once: their events are many. */
const BATCH = 20;

/** What a run comes to. Throws a NotReadable where its plan cannot be read. */
function worked(row: RunRow, happened: readonly StoredEvent[], library: Library): RunWorkings {
  const { id, planId, plan, events, unreadable } = storedRun(row, happened);
  const timeline = compileTimeline(plan, library);
  const record = compareRun(timeline, events);
  const { left, right, balance, total, startedAtMs, ended } = record;
  const summary = RunSummary.parse({
    title: plan.title,
    startedAtMs,
    lastEventAtMs: events.at(-1)?.atMs ?? null,
    ended,
    measuredFrom: record.annotations.measuredFrom,
    doneMs: total.doneMs,
    differenceMs: total.differenceMs,
    leftDoneMs: left.doneMs,
    rightDoneMs: right.doneMs,
    apartMs: balance.apartMs,
    meantMs: balance.meantMs,
    says: comparisonInWords(record, (i) => plan.steps[i]?.name ?? ''),
    totals: timeline.totals,
    ribbon: ribbonBlocks(timeline.phases),
    unreadable,
  } satisfies Record<keyof RunSummary, unknown>);
  // What a session was cannot be said where a part of it is missing: trends and forecasts do without it.
  if (unreadable > 0) return { summary, practised: null, pace: null };
  const practised = practisedOfRun({ id, planId, plan, timeline, events }, library);
  return { summary, practised: practised && PractisedOnce.parse(practised), pace: paceOfRun(timeline, events) };
}

async function countsOf(store: Store, ids: readonly string[]): Promise<Map<string, number>> {
  const rows = (await store.events.count({ where: { runId: { [Op.in]: [...ids] } }, group: ['runId'] })) as {
    runId: string;
    count: number;
  }[];
  return new Map(rows.map(({ runId, count }) => [runId, count]));
}

/**
 * What each of some runs comes to, by their ids; a run whose plan cannot be read has nothing. Worked out once for each
 * number of events, and in small pieces, so that other requests are answered meanwhile.
 */
export async function runWorkings(
  store: Store,
  rows: readonly Pick<RunRow, 'id'>[],
): Promise<Map<string, RunWorkings>> {
  const ids = rows.map(({ id }) => id);
  const { library, stamp } = await wholeLibrary(store);
  const { runs } = await store.workings();
  const counts = await countsOf(store, ids);
  const stampOf = (id: string): string => `${counts.get(id) ?? 0} ${stamp}`;
  const known = new Map<string, RunWorkings>();
  const missing: string[] = [];
  for (const id of ids) {
    const value = runs.get(id, stampOf(id));
    if (value) known.set(id, value);
    else missing.push(id);
  }
  for (let at = 0; at < missing.length; at += BATCH) {
    const batch = missing.slice(at, at + BATCH);
    const documents = await store.runs.findAll({ where: { id: batch } });
    const events = await eventsOf(store, batch);
    await sliced(documents, (row) => {
      const [value] = readable([row], () => worked(row, events.get(row.id) ?? [], library)).values;
      if (!value) return;
      runs.set(row.id, stampOf(row.id), value);
      known.set(row.id, value);
    });
  }
  return known;
}
