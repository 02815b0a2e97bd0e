import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { effectScope, type EffectScope, nextTick, ref } from 'vue';
import { NOTHING_DECIDED, openLevel, withSeen, type ClassPeople } from '#core/caution';
import { restStep, type Plan } from '#core/plan';
import { newGroup } from '#core/people';
import { DEMO_PLANS } from '#library/demo';
import { fakeBrowser, settle, type FakeBrowser } from '../../tests/support/browser';
import { has, someone } from '../../tests/support/people';
import { fakeServer, type FakeServer } from '../../tests/support/fake-server';
import { useClass } from './use-class';

const people = {
  ada: someone('Ada Merrow', has('high-pressure', { degree: 'uncontrolled' })),
  bo: someone('Bo Fenn'),
  cyd: someone('Cyd Loam', has('knee')),
};
const plan: Plan = { ...DEMO_PLANS[0]!.plan, groupId: 'potters', startsAt: '2026-11-26T19:15' };
const wall = plan.steps.findIndex((step) => step.kind === 'hold' && step.position === 'legs-up-wall');
const wallId = plan.steps[wall]!.id;
let browser: FakeBrowser;
let server: FakeServer;
let scopes: EffectScope[] = [];
/** A scope that ends with the test: nothing is tried again after it. */
function scopeOfTest(): EffectScope {
  const scope = effectScope();
  scopes.push(scope);
  return scope;
}
afterEach(() => {
  for (const scope of scopes) scope.stop();
  scopes = [];
});
const stored = () => server.stored('/plans/p/decisions') as { revision: number; document: ClassPeople };
const planOf = ref<Plan | undefined>(plan);
async function opened() {
  const used = scopeOfTest().run(() => useClass('p', planOf))!;
  await settle();
  return used;
}
const cellOf = (used: Awaited<ReturnType<typeof opened>>, personId: string, at = wall) =>
  used.matrix.value?.rows.find((one) => one.personId === personId)?.cells[at];

beforeEach(() => {
  setActivePinia(createPinia());
  browser = fakeBrowser();
  server = fakeServer();
  for (const [id, person] of Object.entries(people)) server.put(`/people/${id}`, person);
  server.put('/groups/potters', { ...newGroup('Potters'), members: ['ada', 'bo', 'gone'] });
  browser.answer = server.answer;
  planOf.value = plan;
});

describe('the people of a class', () => {
  test('those of the group that are still here, held against the plan on its day', async () => {
    const used = await opened();
    expect(used.members.value.map(({ id }) => id)).toEqual(['ada', 'bo']);
    expect([used.day.value, cellOf(used, 'ada')?.level, cellOf(used, 'bo')?.level]).toEqual([
      '2026-11-26',
      'avoid',
      null,
    ]);
    expect(used.activeFor('cyd').length).toBeGreaterThan(0);
    expect(used.activeFor('gone')).toEqual([]);
  });

  test('without a group nobody is asked for; when one is chosen, they are', async () => {
    planOf.value = { ...plan, groupId: null };
    const used = await opened();
    expect([used.matrix.value, browser.calls]).toEqual([undefined, []]);
    planOf.value = plan;
    await nextTick();
    await settle();
    expect(used.matrix.value?.rows).toHaveLength(2);
    planOf.value = { ...plan, groupId: null };
    await nextTick();
    expect(used.matrix.value).toBeUndefined();
  });

  test('seen and left: closed, kept beside the plan with who and when, and open again when taken back', async () => {
    const used = await opened();
    expect(openLevel(cellOf(used, 'ada')!)).toBe('avoid');
    expect(used.leave('ada', wallId, cellOf(used, 'ada')!)).toBeUndefined();
    await settle();
    expect(openLevel(cellOf(used, 'ada')!)).toBeNull();
    expect(stored().document.seen).toMatchObject([{ personId: 'ada', stepId: wallId, by: 'teacher' }]);
    used.undecide('ada', wallId);
    await settle();
    expect([openLevel(cellOf(used, 'ada')!), stored().document.seen]).toEqual(['avoid', []]);
  });

  test('another step for one of them: their version has it, of the same length, and the plan itself stays', async () => {
    const used = await opened();
    used.use('ada', wallId, { ...restStep(wallId), name: 'Lie with the knees bent' });
    await settle();
    expect(cellOf(used, 'ada')).toMatchObject({ state: 'instead' });
    expect(used.versionOf('ada')?.plan.steps[wall]?.name).toBe('Lie with the knees bent');
    expect(used.versionOf('bo')?.plan.steps[wall]?.name).toBe(plan.steps[wall]!.name);
    expect(planOf.value).toEqual(plan);
  });

  test('two teachers decide at once, for different people: both decisions are kept', async () => {
    const used = await opened();
    const by = { by: 'Wren', at: '2026-11-25T10:00:00Z' };
    server.put(
      '/plans/p/decisions',
      withSeen(NOTHING_DECIDED, { personId: 'bo', stepId: wallId, rules: ['some'], ...by }),
      4,
    );
    used.leave('ada', wallId, cellOf(used, 'ada')!);
    await settle();
    expect(
      stored()
        .document.seen.map(({ personId }) => personId)
        .sort(),
    ).toEqual(['ada', 'bo']);
    expect(used.synced.value?.conflict.value).toBeUndefined();
  });

  test('two teachers decide for the same person at the same step: both are shown, and one is chosen', async () => {
    const used = await opened();
    const by = { by: 'Wren', at: '2026-11-25T10:00:00Z' };
    server.put(
      '/plans/p/decisions',
      withSeen(NOTHING_DECIDED, { personId: 'ada', stepId: wallId, rules: [], ...by }),
      4,
    );
    used.leave('ada', wallId, cellOf(used, 'ada')!);
    await settle();
    expect(used.synced.value?.conflict.value?.document.seen[0]?.by).toBe('Wren');
    void used.synced.value?.resolve('mine');
    await settle();
    expect(stored().document.seen).toMatchObject([{ personId: 'ada', by: 'teacher' }]);
  });
});

describe('before a class', () => {
  test('what somebody says is new counts today, is stored with the decisions, and leaves their record alone', async () => {
    const used = await opened();
    const before = used.screened.value.find(({ id }) => id === 'bo')!.person.conditions.length;
    expect(used.say('bo', ['cold'])).toBeUndefined();
    await settle();
    expect(used.screened.value.find(({ id }) => id === 'bo')!.person.conditions).toHaveLength(before + 1);
    expect(stored().document.checkIns).toMatchObject([{ personId: 'bo', conditions: [{ condition: 'cold' }] }]);
    expect(used.activeFor('bo').length).toBeGreaterThan(0);
    expect(used.say('bo', [])).toBeUndefined();
    await settle();
    expect([stored().document.checkIns, used.activeFor('bo')]).toEqual([[], []]);
  });

  test('a guest has a row of their own, is shown by the first name, and is removed with all that was said', async () => {
    const used = await opened();
    used.addGuest({ id: 'g', name: 'Quill' }, ['high-pressure']);
    await settle();
    expect([used.shown('g'), cellOf(used, 'g')?.level]).toEqual(['Quill', 'avoid']);
    expect(used.addGuest({ id: 'h', name: '' }, [])).toEqual(expect.any(String));
    used.removeGuest('g');
    await settle();
    expect([cellOf(used, 'g'), stored().document.guests]).toEqual([undefined, []]);
  });

  test('in a class that is led guests may come without a group', async () => {
    planOf.value = { ...plan, groupId: null };
    const used = scopeOfTest().run(() => useClass('p', planOf, true))!;
    await settle();
    used.addGuest({ id: 'g', name: 'Quill' }, []);
    await settle();
    expect(used.matrix.value?.rows.map(({ personId }) => personId)).toEqual(['g']);
  });
});
