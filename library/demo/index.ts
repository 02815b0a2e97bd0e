/** The demo data: an invented community hall by an estuary, three groups, two evenings that were taught. */
export { DEMO_PLANS, type DemoPlan } from './plans';
export { demoPlaces, type DemoPlace } from './places';
export { demoRuns, type DemoRun } from './runs';
export { demoPeople, type DemoPerson } from './people';
