import { DEMO_PLANS, demoDecided, demoGroups, demoJournal, demoPeople, demoPlaces, demoRuns } from '#library/demo';
import { addEvents, startRun } from './routes/runs';
import { createJournalEntry } from './routes/journal';
import { createPlan } from './routes/plans';
import { createGroup, createPerson, putClassPeople } from './routes/people';
import { createPlace } from './routes/places';
import type { Store } from './store/store';

/** Loads the demo data, all of it or none, into a store that holds nothing yet. Gives whether it did. */
export async function loadDemo(store: Store): Promise<boolean> {
  if ((await store.plans.count()) > 0) return false;
  await store.atomically(async (inside) => {
    for (const { id, place } of demoPlaces) await createPlace(inside, id, place);
    for (const { id, plan } of DEMO_PLANS) await createPlan(inside, id, plan);
    for (const { id, planId, beganAt, events } of demoRuns) {
      const startMs = new Date(beganAt).getTime();
      await startRun(inside, { id, planId, planRevision: 1 }, startMs);
      await addEvents(inside, id, events(startMs));
    }
    for (const { id, person } of demoPeople) await createPerson(inside, id, person);
    for (const { id, group } of demoGroups) await createGroup(inside, id, group);
    for (const [planId, decided] of demoDecided()) await putClassPeople(inside, planId, decided);
    for (const { id, entry } of demoJournal) await createJournalEntry(inside, id, entry);
  });
  return true;
}
