import { newCourse, type Course, type ThreadOf } from '#core/course';
import { emptyPlan, holdFrom, talkStep, type Plan } from '#core/plan';
import { builtInLibrary } from '#library';

const held = (id: string, position: string) => ({
  ...holdFrom(builtInLibrary.position(position)!, 'yin', id),
  range: { min: 60, max: 1500 },
  rangeIsUsual: false,
});

/** Talk, a fold on both sides, and a rest: forty minutes in which the rest takes what the fold leaves. */
export const shortEvening = (): Plan => ({
  ...emptyPlan('Short evening', 'yin'),
  classSeconds: 2400,
  steps: [talkStep('talk', 'Arrive', 240), held('fold', 'head-to-knee'), held('rest', 'last-rest')],
});

/** The fold from three to five minutes a side by week 6. */
export const LONGER_FOLD: ThreadOf<'length'> = {
  ...{ id: 'longer', kind: 'length', of: { kind: 'step', step: 'fold' } },
  ...{ from: 180, to: 300, grid: 15, mostAWeek: 60, byWeek: 6 },
};

/** Six Tuesdays of the short evening. */
export const sixTuesdays = (patch: Partial<Course> = {}): Course => ({
  ...newCourse('Six Tuesdays', shortEvening(), 'base', 6),
  dates: { kind: 'weekly', first: '2027-01-05', time: '18:00', leftOut: [] },
  ...patch,
});
