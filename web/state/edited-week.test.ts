import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import type { Course } from '#core/course';
import { removeStep, setHoldSeconds, sideSeconds, type Plan } from '#core/plan';
import { fakeBrowser, settle, type FakeBrowser } from '../../tests/support/browser';
import { LONGER_FOLD, sixTuesdays } from '../../tests/support/course';
import { fakeServer, type FakeServer } from '../../tests/support/fake-server';
import { useEditor } from './editor';

let browser: FakeBrowser;
let server: FakeServer;
let last: ReturnType<typeof useEditor> | undefined;
const stored = () => (server.stored('/courses/c') as { document: Course }).document;
const held = (plan: Plan | undefined, id: string): number => {
  const step = plan?.steps.find((one) => one.id === id);
  return step?.kind === 'hold' ? sideSeconds(step.sides).left : NaN;
};
async function pass(ms: number): Promise<void> {
  await settle();
  jest.advanceTimersByTime(ms);
  await settle();
}
async function opened(week: number) {
  setActivePinia(createPinia());
  const editor = (last = useEditor());
  await editor.openWeek('c', week);
  return editor;
}
beforeEach(() => {
  jest.useFakeTimers();
  browser = fakeBrowser();
  server = fakeServer();
  server.put('/courses/c', sixTuesdays({ threads: [LONGER_FOLD] }));
  browser.answer = server.answer;
});
afterEach(async () => {
  await last?.close();
  jest.useRealTimers();
});

describe('a week of a course in the planner', () => {
  test('is the plan of that week, under an address of the course', async () => {
    const editor = await opened(3);
    expect(editor.plan).toMatchObject({ title: 'Six Tuesdays, week 3', startsAt: '2027-01-19T18:00' });
    expect(held(editor.plan, 'fold')).toBe(210);
    expect(editor.path).toBe('/courses/c/weeks/3');
    expect(editor.id).toBe('');
  });
  test('an edit is a difference of this week, from it on, or a change of the base', async () => {
    const editor = await opened(3);
    const scope = editor.week!.scope;
    editor.edit(setHoldSeconds('rest', 'even', 400));
    expect(held(editor.plan, 'rest')).toBe(400);
    scope.value = 'onward';
    editor.edit(setHoldSeconds('rest', 'even', 500));
    scope.value = 'course';
    expect(editor.edit(removeStep('talk'))).toEqual([]);
    await pass(700);
    expect(stored().differences).toMatchObject([
      { week: 3, onward: false, edit: setHoldSeconds('rest', 'even', 400) },
      { week: 3, onward: true, edit: setHoldSeconds('rest', 'even', 500) },
    ]);
    expect(stored().base.plan.steps.map(({ id }) => id)).toEqual(['fold', 'rest']);
    for (const before of [3, 3]) {
      editor.undo();
      expect(editor.plan?.steps).toHaveLength(before);
    }
    expect(held(editor.plan, 'rest')).toBe(400);
    await pass(700);
    expect(stored().differences).toHaveLength(1);
  });
  test('typing in one field is one difference and one step of undo', async () => {
    const editor = await opened(2);
    for (const seconds of [300, 330, 360]) editor.edit(setHoldSeconds('rest', 'even', seconds));
    await pass(700);
    expect(stored().differences).toHaveLength(1);
    editor.undo();
    await pass(700);
    expect(stored().differences).toEqual([]);
  });
  test('an edit of this week can go further afterwards: from here on, or in the whole course; one undo takes that back', async () => {
    const editor = await opened(3);
    const week = editor.week!;
    expect(week.lastEdit.value).toBeUndefined();
    for (const seconds of [390, 400]) editor.edit(setHoldSeconds('rest', 'even', seconds));
    expect(week.lastEdit.value).toMatchObject({ scope: 'week', change: setHoldSeconds('rest', 'even', 400) });
    expect(week.further('onward')?.differences).toMatchObject([{ week: 3, onward: true }]);
    week.goFurther('onward');
    await pass(700);
    expect(stored().differences).toMatchObject([{ week: 3, onward: true, edit: setHoldSeconds('rest', 'even', 400) }]);
    expect(week.lastEdit.value?.scope).toBe('onward');
    week.goFurther('course');
    await pass(700);
    expect(stored().differences).toEqual([]);
    expect(held(stored().base.plan, 'rest')).toBe(400);
    editor.undo();
    await pass(700);
    expect(stored().differences).toMatchObject([{ week: 3, onward: true }]);
    expect(held(stored().base.plan, 'rest')).not.toBe(400);
    // What was undone is not the last edit.
    expect(week.lastEdit.value).toBeUndefined();
  });
  test('an edit that does not fit changes nothing and says which field', async () => {
    const editor = await opened(2);
    expect(editor.edit(setHoldSeconds('rest', 'even', 0))).toEqual([
      { field: 'steps.2.sides.seconds', reason: 'A hold is at least 0:01.' },
    ]);
    expect(editor.canUndo).toBe(false);
  });
  test('what was taught is where it grows from; a class that is not held is no plan', async () => {
    const taught = { ...sixTuesdays().base.plan };
    server.sessions = [
      {
        ...{ runId: 'r', week: 1, planId: 'p1', plan: taught, came: 4, beganAtMs: 0, ended: true },
        ...{ group: '', groupId: null, people: [], easyBreaths: [] },
      },
    ];
    server.put('/courses/c', sixTuesdays({ threads: [LONGER_FOLD], plans: [{ week: 1, planId: 'p1', revision: 1 }] }));
    const editor = await opened(2);
    expect(editor.week!.before.value).toMatchObject({ beganAtMs: 0 });
    expect(editor.week!.taught.value).toBe(false);
    await editor.close();
    expect((await opened(9)).plan).toBeUndefined();
  });
  test('a server that is away rejects, and what was changed before it stays here', async () => {
    const editor = await opened(2);
    server.fate = () => 'lostRequest';
    editor.edit(setHoldSeconds('rest', 'even', 360));
    await pass(700);
    expect(editor.state).toBe('waiting');
    expect(held(editor.plan, 'rest')).toBe(360);
    server.fate = () => 'arrives';
    await editor.save();
    await settle();
    expect(stored().differences).toHaveLength(1);
  });
});
