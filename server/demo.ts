import {
  datesAround,
  DEMO_PLANS,
  demoCourses,
  demoDecided,
  demoGroups,
  demoJournal,
  demoPeople,
  demoPlaces,
  demoRuns,
} from '#library/demo';
import { addEvents, startRun } from './routes/runs';
import { createJournalEntry } from './routes/journal';
import { createPlan } from './routes/plans';
import { createGroup, createPerson, putDecisions } from './routes/people';
import { createCourse } from './routes/courses';
import { createPlace } from './routes/places';
import type { Store } from './store/store';

/** The day it is where the server stands: `2026-11-26`. */
function dayOf(ms: number): string {
  const now = new Date(ms);
  return new Date(ms - now.getTimezoneOffset() * 60_000).toISOString().slice(0, 10);
}

/** Loads the demo data, as the server is started with it, into a store without plans. Returns whether it did. */
export async function loadDemo(store: Store, day?: string): Promise<boolean> {
  if ((await store.plans.count()) > 0) return false;
  await loadSample(store, day);
  return true;
}

/**
 * Loads the sample house, all of it or none, beside what is there; its dates lie around `day`, which is today where
 * nothing else is said.
 */
export async function loadSample(store: Store, day = dayOf(store.now())): Promise<void> {
  const move = datesAround(day);
  await store.atomically(async (inside) => {
    for (const { id, place } of demoPlaces) await createPlace(inside, id, place);
    for (const { id, plan } of move(DEMO_PLANS)) await createPlan(inside, id, plan);
    for (const { id, course, plans } of demoCourses) {
      for (const one of move(plans)) await createPlan(inside, one.id, one.plan);
      await createCourse(inside, id, move(course));
    }
    for (const { id, planId, beganAt, events } of [...demoRuns, ...demoCourses.flatMap(({ runs }) => runs)]) {
      const startMs = new Date(move(beganAt)).getTime();
      await startRun(inside, { id, planId, planRevision: 1, beganAtMs: startMs });
      await addEvents(inside, id, events(startMs));
    }
    for (const { id, person } of move(demoPeople)) await createPerson(inside, id, person);
    for (const { id, group } of demoGroups) await createGroup(inside, id, group);
    for (const [planId, decided] of demoDecided()) await putDecisions(inside, planId, move(decided));
    for (const { id, entry } of move(demoJournal)) await createJournalEntry(inside, id, entry);
  });
}
