import { beforeEach, expect, test } from '@jest/globals';
import { planOfWeek, type Course } from '#core/course';
import { editedPlan, removeStep, type Plan } from '#core/plan';
import { builtInLibrary as library } from '#library';
import { fakeBrowser, type FakeBrowser } from '../../tests/support/browser';
import { LONGER_FOLD, sixTuesdays } from '../../tests/support/course';
import { fakeServer, type FakeServer } from '../../tests/support/fake-server';
import { planForWeek, readWeekPlan } from './plan-of-week';

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
  expect(made.course.plans).toEqual([{ week: 2, planId: made.planId, revision: 1 }]);
  expect(onServer(made.planId).document).toMatchObject({ title: 'Six Tuesdays, week 2', classSeconds: 2400 });
  expect(await planForWeek(made.course, 2, derived(course, 2))).toEqual(made);
  expect(onServer(made.planId).revision).toBe(1);
});

test('it follows the course for as long as nobody changed it', async () => {
  const made = await planForWeek(course, 2, derived(course, 2));
  const longer = { ...made.course, threads: [{ ...LONGER_FOLD, from: 240 }] };
  expect((await readWeekPlan(longer, 2, derived(longer, 2))).kind).toBe('outdated');
  const again = await planForWeek(longer, 2, derived(longer, 2));
  expect(again.planId).toBe(made.planId);
  expect(again.course.plans).toEqual([{ week: 2, planId: made.planId, revision: 2 }]);
  expect(onServer(made.planId).document).toEqual(derived(longer, 2));
});

test('one that somebody changed stays as it is, unless it is made anew', async () => {
  const made = await planForWeek(course, 2, derived(course, 2));
  const changed = editedPlan(derived(course, 2), removeStep('talk'));
  server.put(`/plans/${made.planId}`, changed, 2);
  expect((await readWeekPlan(made.course, 2, derived(course, 2))).kind).toBe('changedElsewhere');
  expect((await planForWeek(made.course, 2, derived(course, 2))).course).toEqual(made.course);
  expect(onServer(made.planId).document).toEqual(changed);
  const anew = await planForWeek(made.course, 2, derived(course, 2), true);
  expect(anew.course.plans).toEqual([{ week: 2, planId: made.planId, revision: 3 }]);
  expect(onServer(made.planId).document).toEqual(derived(course, 2));
});

test('one that was deleted is made again; a server that is away is no plan that is gone', async () => {
  const gone = { ...course, plans: [{ week: 2, planId: 'gone', revision: 1 }] };
  expect((await readWeekPlan(gone, 2, derived(course, 2))).kind).toBe('none');
  const made = await planForWeek(gone, 2, derived(course, 2));
  expect(made.planId).not.toBe('gone');
  server.fate = () => 'lostRequest';
  await expect(readWeekPlan(made.course, 2, derived(course, 2))).rejects.toThrow();
});
