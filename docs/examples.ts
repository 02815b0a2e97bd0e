import { breathCountsOf, calendarFile, captionsOf, chaptersOf, csv, planTable, webVtt } from '#core/exchange';
import { stepsOutline } from '#core/plan';
import { compileTimeline } from '#core/timeline';
import { builtInLibrary, TEMPLATES } from '#library';

const template = TEMPLATES.find(({ id }) => id === 'breath');
if (!template) throw new Error('There is no template “breath”.');
const plan = { ...template.plan, startsAt: '2026-12-03T18:30', place: 'Wrackline Hall, low room' };
const timeline = compileTimeline(plan, builtInLibrary);
const event = {
  uid: 'demo-choir@zovrin',
  sequence: 1,
  title: plan.title,
  startsAt: plan.startsAt,
  seconds: plan.classSeconds,
  place: plan.place,
  says: stepsOutline(plan.steps).trimEnd(),
  alarmMinutes: 60,
};

/** An evening of breath as each format has it, by the names of the files in `docs/examples`. */
export const EXAMPLES: Readonly<Record<string, string>> = {
  'class.ics': calendarFile([event], 'Europe/Dublin', Date.UTC(2026, 10, 30, 12)),
  'plan.csv': csv(planTable(plan, timeline, builtInLibrary)),
  'captions.vtt': webVtt(plan.title, captionsOf(plan, timeline, builtInLibrary)),
  'chapters.vtt': webVtt(plan.title, chaptersOf(plan, timeline)),
  'breath-counts.vtt': webVtt(plan.title, breathCountsOf(timeline)),
};
