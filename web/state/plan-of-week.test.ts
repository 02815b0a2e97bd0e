import { beforeEach, expect, test } from '@jest/globals';
import { planOfWeek, type Course } from '#core/course';
import { editedPlan, removeStep, type Plan } from '#core/plan';
import { builtInLibrary as library } from '#library';
import { fakeBrowser, type FakeBrowser } from '../../tests/support/browser';
import { LONGER_FOLD, sixTuesdays } from '../../tests/support/course';
import { fakeServer, type FakeServer } from '../../tests/support/fake-server';
import { planForWeek, readWeekPlan, withPlan } from './plan-of-week';

let server: FakeServer;
let browser: FakeBrowser;
const course = sixTuesdays({ threads: [LONGER_FOLD] });
const derived = (of: Course, week: number): Plan =>
  planOfWeek(of, week, { taught: [], easyRatios: [] }, { library })!.plan;
const onServer = (id: string) => server.stored(`/plans/${id}`) as { revision: number; document: Plan };
beforeEach(() => {
  browser = fakeBrowser();
  server = fakeServer();
  browser.answer = server.answer;
});

test('the plan of a week is made once, and known to the course', async () => {
  const made = await planForWeek(course, 2, derived(course, 2));
  expect(made).toMatchObject({ week: 2, revision: 1 });
  expect(onServer(made.planId).document).toMatchObject({ title: 'Six Tuesdays, week 2', classSeconds: 2400 });
  const known = withPlan(course, made);
  expect(known.plans).toEqual([made]);
  expect(await planForWeek(known, 2, derived(course, 2))).toEqual(made);
  expect(onServer(made.planId).revision).toBe(1);
});

test('it follows the course for as long as nobody changed it', async () => {
  const made = await planForWeek(course, 2, derived(course, 2));
  const longer = { ...withPlan(course, made), threads: [{ ...LONGER_FOLD, from: 240 }] };
  expect((await readWeekPlan(longer, 2, derived(longer, 2))).kind).toBe('outdated');
  const again = await planForWeek(longer, 2, derived(longer, 2));
  expect(again).toEqual({ ...made, revision: 2 });
  expect(withPlan(longer, again).plans).toEqual([again]);
  const { document } = onServer(made.planId);
  expect(document.steps.map(({ id }) => id)).toEqual(['talk', 'fold', 'rest']);
  expect(document.steps[1]).toMatchObject({ sides: { length: { seconds: 240 } } });
});

test('one that somebody changed stays as it is, unless it is made anew', async () => {
  const made = await planForWeek(course, 2, derived(course, 2));
  const known = withPlan(course, made);
  const changed = editedPlan(derived(course, 2), removeStep('talk'));
  server.put(`/plans/${made.planId}`, changed, 2);
  expect((await readWeekPlan(known, 2, derived(course, 2))).kind).toBe('changedElsewhere');
  expect(await planForWeek(known, 2, derived(course, 2))).toEqual(made);
  expect(onServer(made.planId).document.steps).toHaveLength(2);
  expect(await planForWeek(known, 2, derived(course, 2), true)).toEqual({ ...made, revision: 3 });
  expect(onServer(made.planId).document.steps).toHaveLength(3);
});

test('one that was deleted is made again; a server that is away is no plan that is gone', async () => {
  const gone = { ...course, plans: [{ week: 2, planId: 'gone', revision: 1 }] };
  expect((await readWeekPlan(gone, 2, derived(course, 2))).kind).toBe('none');
  const made = await planForWeek(gone, 2, derived(course, 2));
  expect(made.planId).not.toBe('gone');
  server.fate = () => 'lostRequest';
  await expect(readWeekPlan(withPlan(course, made), 2, derived(course, 2))).rejects.toThrow();
});
