import {
  breathCountsOf,
  calendarFile,
  captionsOf,
  chaptersOf,
  csv,
  nameIndex,
  planTable,
  stepsInOutline,
  webVtt,
  writeOutline,
} from '#core/exchange';
import { compileTimeline } from '#core/timeline';
import { builtInLibrary, POSITIONS, TECHNIQUES, TEMPLATES } from '#library';
import { alsoCalled } from '#library/synonyms';

const template = TEMPLATES.find(({ id }) => id === 'breath');
if (!template) throw new Error('There is no template “breath”.');
const plan = { ...template.plan, startsAt: '2026-12-03T18:30', place: 'Wrackline Hall, low room' };
const names = nameIndex({ positions: POSITIONS, techniques: TECHNIQUES, alsoCalled });
const timeline = compileTimeline(plan, builtInLibrary);
const event = {
  uid: 'demo-choir@zovrin',
  sequence: 1,
  title: plan.title,
  startsAt: plan.startsAt,
  zone: 'Europe/Dublin',
  changedMs: Date.UTC(2026, 10, 30, 12),
  seconds: plan.classSeconds,
  place: plan.place,
  says: stepsInOutline(plan, builtInLibrary, names, { notes: false }).trimEnd(),
  alarmMinutes: 60,
};

/** An evening of breath as each format has it, by the names of the files in `docs/examples`. */
export const EXAMPLES: Readonly<Record<string, string>> = {
  'class.ics': calendarFile([event]),
  'outline.txt': writeOutline(plan, builtInLibrary, names).text,
  'plan.csv': csv(planTable(plan, timeline, builtInLibrary)),
  'captions.vtt': webVtt(plan.title, captionsOf(plan, timeline, builtInLibrary)),
  'chapters.vtt': webVtt(plan.title, chaptersOf(plan, timeline)),
  'breath-counts.vtt': webVtt(plan.title, breathCountsOf(timeline)),
};
