import { describe, expect, test } from '@jest/globals';
import { builtInLibrary as library, TEMPLATES } from '#library';
import { LONGER_FOLD, sixTuesdays } from '../../tests/support/course';
import { readAim, suggestedAim, threadRefusal } from './aim';
import { withThread, withoutThread } from './edit-course';
import { sameAs, whatCanGrow } from './what-can-grow';

const breath = (out: number, holdFull = 0) => ({
  ...{ id: 'b', kind: 'breath' as const, step: 's', easyAWeek: 1, byWeek: 6 },
  ...{ from: { in: 4, holdFull: 0, out: 4, holdEmpty: 0 }, to: { in: 4, holdFull, out, holdEmpty: 0 } },
});

describe('an aim', () => {
  test('that is what there is, or behind it, is refused', () => {
    expect(threadRefusal(LONGER_FOLD)).toBeUndefined();
    expect(threadRefusal({ ...LONGER_FOLD, to: 180 })).toBe('It begins with 3:00 already. Choose another aim.');
    expect(threadRefusal({ ...LONGER_FOLD, to: 120 })).toBe('It begins with 3:00 already: an aim is longer.');
    expect(threadRefusal({ id: 'p', kind: 'props', step: 's', row: 'r', from: 1, to: 3, byWeek: 4 })).toBe(
      'It begins with 1 piece already: an aim is less.',
    );
    expect(threadRefusal(breath(3))).toBe('It begins with 4 : 0 : 4 already: an aim is longer.');
    expect(threadRefusal(breath(3, 1))).toBeUndefined();
    expect(threadRefusal(breath(4))).toMatch(/^It begins with 4 : 0 : 4 already/);
    expect(threadRefusal({ ...LONGER_FOLD, mostAWeek: 0 })).toMatch(/at least/i);
  });
  test('of a stage may be shorter: its prop leaves earlier', () => {
    const stage = { ...LONGER_FOLD, of: { kind: 'stage' as const, step: 'fold', stage: 'propped' } };
    expect(threadRefusal({ ...stage, to: 120 })).toBeUndefined();
    expect(threadRefusal({ ...stage, to: 180 })).toBe('It begins with 3:00 already. Choose another aim.');
    expect(suggestedAim({ ...stage, from: 240, to: 240 }, 6)).toMatchObject({ from: 240, to: 165, byWeek: 6 });
  });
  test('of a breath is read as it is typed', () => {
    expect(readAim(breath(6), '4:2:8')).toEqual({ ok: true, to: { in: 4, holdFull: 2, out: 8, holdEmpty: 0 } });
    expect(readAim(breath(6), 'longer')).toMatchObject({ ok: false });
  });
  test('is offered for everything that can grow in any example, and is one', () => {
    for (const { plan } of TEMPLATES)
      for (const { still, name } of whatCanGrow(plan, library)) {
        const aim = suggestedAim(still, 6);
        // The last piece of a stack leaves; an hour is as long as a hold is.
        if (still.kind === 'talk' && still.from < 2) continue;
        expect([name, threadRefusal(aim)]).toEqual([name, undefined]);
      }
  });
});

test('a thread is added after the others, changed in its place, and taken out', () => {
  const course = withThread(sixTuesdays(), LONGER_FOLD);
  const two = withThread(course, breath(6));
  expect(withThread(two, { ...LONGER_FOLD, to: 240 }).threads).toEqual([{ ...LONGER_FOLD, to: 240 }, breath(6)]);
  expect(withoutThread(two, 'longer').threads).toEqual([breath(6)]);
});

test('which of the things that can grow a thread is of', () => {
  const { plan } = sixTuesdays().base;
  const all = whatCanGrow(plan, library);
  expect(sameAs(LONGER_FOLD, all)?.key).toBe('length fold');
  expect(sameAs({ ...LONGER_FOLD, of: { kind: 'step', step: 'gone' } }, all)).toBeUndefined();
});
