import { beforeEach, describe, expect, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { effectScope, nextTick, ref } from 'vue';
import { NOTHING_DECIDED, openLevel, withSeen, type ClassPeople } from '#core/caution';
import { restStep, type Plan } from '#core/plan';
import { newGroup } from '#core/people';
import { DEMO_PLANS } from '#library/demo';
import { fakeBrowser, settle, type Call, type FakeBrowser } from '../../tests/support/browser';
import { has, someone } from '../../tests/support/people';
import { useClass } from './use-class';

const moment = '2026-11-20T18:30:00.000Z';
const row = <T>(id: string, document: T, revision = 1) => ({
  id,
  revision,
  createdAt: moment,
  updatedAt: moment,
  document,
});
const people = [
  row('ada', someone('Ada Merrow', has('high-pressure', { degree: 'uncontrolled' }))),
  row('bo', someone('Bo Fenn')),
  row('cyd', someone('Cyd Loam', has('knee'))),
];
const plan: Plan = { ...DEMO_PLANS[0]!.plan, groupId: 'potters', startsAt: '2026-11-26T19:15' };
const wall = plan.steps.findIndex((step) => step.kind === 'hold' && step.position === 'legs-up-wall');
const wallId = plan.steps[wall]!.id;
let browser: FakeBrowser;
let stored: { revision: number; document: ClassPeople };

function server({ method, path, body }: Call) {
  if (path === '/people') return { status: 200, body: { unreadable: 0, people } };
  if (path === '/people/groups') {
    const group = { ...newGroup('Potters'), members: ['ada', 'bo', 'gone'] };
    return { status: 200, body: { unreadable: 0, groups: [row('potters', group)] } };
  }
  if (!path.startsWith('/people/classes/')) return { status: 404 };
  if (method === 'GET') return { status: 200, body: stored };
  const sent = body as { revision: number; document: ClassPeople };
  if (sent.revision !== stored.revision) {
    const problem = { type: 'about:blank', title: 'Changed elsewhere', status: 409, detail: 'Changed elsewhere.' };
    return { status: 409, body: { ...problem, current: stored, yours: sent.document } };
  }
  stored = { revision: stored.revision + 1, document: sent.document };
  return { status: 200, body: stored };
}
const planOf = ref<Plan | undefined>(plan);
async function opened() {
  const used = effectScope().run(() => useClass('p', planOf))!;
  await settle();
  return used;
}
const cellOf = (used: Awaited<ReturnType<typeof opened>>, personId: string, at = wall) =>
  used.matrix.value?.rows.find((one) => one.personId === personId)?.cells[at];

beforeEach(() => {
  setActivePinia(createPinia());
  browser = fakeBrowser();
  browser.answer = server;
  stored = { revision: 0, document: NOTHING_DECIDED };
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
    expect(stored.document.seen).toMatchObject([{ personId: 'ada', stepId: wallId, by: 'teacher' }]);
    used.undecide('ada', wallId);
    await settle();
    expect([openLevel(cellOf(used, 'ada')!), stored.document.seen]).toEqual(['avoid', []]);
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
    stored = {
      revision: 4,
      document: withSeen(stored.document, { personId: 'bo', stepId: wallId, rules: ['some'], ...by }),
    };
    used.leave('ada', wallId, cellOf(used, 'ada')!);
    await settle();
    expect(stored.document.seen.map(({ personId }) => personId).sort()).toEqual(['ada', 'bo']);
    expect(used.kept.value?.theirs.value).toBeUndefined();
  });

  test('two teachers decide for the same person at the same step: both are shown, and one is chosen', async () => {
    const used = await opened();
    const by = { by: 'Wren', at: '2026-11-25T10:00:00Z' };
    stored = {
      revision: 4,
      document: withSeen(stored.document, { personId: 'ada', stepId: wallId, rules: [], ...by }),
    };
    used.leave('ada', wallId, cellOf(used, 'ada')!);
    await settle();
    expect(used.kept.value?.theirs.value?.document.seen[0]?.by).toBe('Wren');
    used.kept.value?.settle(true);
    await settle();
    expect(stored.document.seen).toMatchObject([{ personId: 'ada', by: 'teacher' }]);
  });
});
