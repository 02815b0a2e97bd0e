/** The demo data: an invented community hall by an estuary, three groups, six weeks that were taught. */
export { DEMO_PLANS, type DemoPlan } from './plans';
export { demoCourses, type DemoCourse } from './courses';
export { demoPlaces, type DemoPlace } from './places';
export { demoRuns, type DemoRun } from './runs';
export { demoJournal, type DemoJournalEntry } from './journal';
export { demoGroups, demoPeople, type DemoGroup, type DemoPerson } from './people';
export { demoDecided } from './decided';
export { datesAround } from './around';
