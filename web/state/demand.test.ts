import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { watch } from 'vue';
import { newPlace, propDemand, unmetPieces, type Place } from '#core/cupboard';
import { addStep, emptyPlan, holdNamed, Plan, removeStep, setDetails, type HoldStep } from '#core/plan';
import { compileTimeline } from '#core/timeline';
import { fakeBrowser } from '../../tests/support/browser';
import { noLibrary, propRow } from '../../tests/support/examples';
import { fakeServer, type FakeServer } from '../../tests/support/fake-server';
import { fakeSolvers } from '../../tests/support/fake-worker';
import { useDemand } from './demand';
import { useEditor } from './editor';

const PEOPLE = 8;
const lean = (id: string, blankets: number): HoldStep => ({
  ...holdNamed(`Long lean ${id}`, id),
  setUp: [propRow('blanket', 'knees', { count: blankets })],
});
const plan: Plan = Plan.parse({
  ...emptyPlan('Evening'),
  groupSize: PEOPLE,
  cupboard: 'hall',
  steps: [lean('a', 1), lean('b', 2)],
});
const hall: Place = { ...newPlace('The hall', 'studio'), stock: { blanket: 10 } };

let server: FakeServer;
let solvers: ReturnType<typeof fakeSolvers>;
/** While it is set, jobs wait for it before they are done. */
let gate: Promise<void> | undefined;
/** Resolves once something is so. */
const until = (isSo: () => boolean): Promise<void> =>
  new Promise((done) => {
    const stop = watch(isSo, (now) => now && (done(), queueMicrotask(() => stop())), { immediate: true });
  });
async function opened() {
  setActivePinia(createPinia());
  const [editor, demand] = [useEditor(), useDemand()];
  await editor.open('p');
  return { editor, demand };
}
const shortAt = (demand: ReturnType<typeof useDemand>, index: number): number =>
  demand.momentsOfStep(index).reduce((sum, { assignment }) => sum + unmetPieces(assignment), 0);

beforeEach(() => {
  gate = undefined;
  solvers = fakeSolvers(() => gate);
  const browser = fakeBrowser();
  server = fakeServer();
  server.put('/plans/p', plan);
  server.put('/places/hall', hall);
  browser.answer = server.answer;
});
afterEach(() => solvers.restore());

describe('what a plan needs of its place', () => {
  test('it is worked out in a thread, and is what the solver gives for it', async () => {
    const { editor, demand } = await opened();
    expect(demand.needs.map(({ kind, group }) => [kind, group])).toEqual([['blanket', 16]]);
    expect(demand.isMet).toBe(false);
    await until(() => demand.isMet);
    expect(solvers.started.map(({ jobs }) => jobs)).toEqual([['props']]);
    const { moments } = propDemand(compileTimeline(editor.plan!, noLibrary), PEOPLE, demand.available!);
    for (const index of [0, 1])
      expect(demand.momentsOfStep(index)).toEqual(moments.filter(({ stepIndex }) => stepIndex === index));
    expect([shortAt(demand, 0), shortAt(demand, 1)]).toEqual([0, 6]);
  });

  test('what was edited meanwhile is worked out after it, once, and until then no step has another’s shortage', async () => {
    const { editor, demand } = await opened();
    await until(() => demand.isMet);
    let open = (): void => undefined;
    gate = new Promise((resolve) => (open = resolve));
    editor.edit(setDetails({ groupSize: 5 }));
    editor.edit(setDetails({ groupSize: 6 }));
    editor.edit(removeStep('a'));
    editor.edit(addStep(lean('c', 1), 0));
    expect(demand.isMet).toBe(false);
    // Of the version before: 6 are short in “b”, and of “c” nothing is known yet.
    expect([shortAt(demand, 0), shortAt(demand, 1)]).toEqual([0, 6]);
    open();
    await until(() => demand.isMet);
    expect([shortAt(demand, 0), shortAt(demand, 1)]).toEqual([0, 2]);
    expect(solvers.started).toHaveLength(1);
    expect(solvers.started[0]!.jobs.length).toBeLessThanOrEqual(3);
  });

  test('another place, or none: what the former could give is forgotten at once', async () => {
    const { editor, demand } = await opened();
    await until(() => demand.isMet);
    editor.edit(setDetails({ cupboard: null }));
    await until(() => !demand.isMet);
    expect([demand.available, demand.momentsOfStep(1)]).toEqual([undefined, []]);
    expect(demand.atWall).toBeNull();
    expect(demand.needs).toHaveLength(1);
  });

  test('a copy of the plan, whose steps have the same ids, has nothing of the one that was open before', async () => {
    server.put('/plans/copy', { ...plan, groupSize: 2 });
    const { editor, demand } = await opened();
    await until(() => demand.isMet);
    gate = new Promise(() => undefined);
    await editor.open('copy');
    expect([demand.isMet, demand.momentsOfStep(1)]).toEqual([false, []]);
  });

  test('a thread that fails is said, and the next edit has a new one', async () => {
    const { editor, demand } = await opened();
    await until(() => demand.isMet);
    gate = new Promise(() => undefined);
    editor.edit(setDetails({ groupSize: 4 }));
    await until(() => !demand.isMet);
    solvers.started[0]!.fail();
    await until(() => demand.trouble !== '');
    expect(demand.trouble).toContain('could not be worked out');
    expect(solvers.started[0]!.isEnded).toBe(true);
    gate = undefined;
    editor.edit(setDetails({ groupSize: 3 }));
    await until(() => demand.isMet);
    expect([demand.trouble, solvers.started.length, shortAt(demand, 1)]).toEqual(['', 2, 0]);
  });
});
