import { DEMO_PLANS, demoDecided, demoGroups, demoJournal, demoPeople, demoPlaces, demoRuns } from '#library/demo';
import { addEvents, startRun } from './routes/runs';
import { createJournalEntry } from './routes/journal';
import { createPlan } from './routes/plans';
import { createGroup, createPerson, putClassPeople } from './routes/people';
import { createPlace } from './routes/places';
import type { Store } from './store/store';

/** Loads the demo data into a store that holds nothing yet. Gives whether it did. */
export async function loadDemo(store: Store): Promise<boolean> {
  if ((await store.plans.count()) > 0) return false;
  for (const { id, place } of demoPlaces) await createPlace(store, id, place);
  for (const { id, plan } of DEMO_PLANS) await createPlan(store, id, plan);
  for (const { id, planId, beganAt, events } of demoRuns) {
    const startMs = new Date(beganAt).getTime();
    await startRun(store, { id, planId, planRevision: 1 }, startMs);
    await addEvents(store, id, events(startMs));
  }
  for (const { id, person } of demoPeople) await createPerson(store, id, person);
  for (const { id, group } of demoGroups) await createGroup(store, id, group);
  for (const [planId, decided] of demoDecided()) await putClassPeople(store, planId, decided);
  for (const { id, entry } of demoJournal) await createJournalEntry(store, id, entry);
  return true;
}
