import { expect, test, type APIRequestContext } from '@playwright/test';
import { STEP_TRAITS, newGroup, newPerson } from '#core/people';
import type { Plan, Step } from '#core/plan';
import { compileTimeline } from '#core/timeline';
import { builtInLibrary } from '#library';
import { passMs, storedPlan } from './support';
import { misplacedWords } from './stage-boxes';

const DEMOS = ['demo-hour', 'demo-workshop', 'demo-choir', 'demo-potters', 'demo-nurses'];
const SIZES = [
  { width: 1280, height: 800 },
  { width: 1024, height: 768 },
  { width: 820, height: 1180 },
  { width: 390, height: 844 },
];
const LONG = 'Reclined butterfly with the feet on a block and the shins on long cushions';
const SAY =
  'Let the shoulders be heavy, and if the knee complains, bring the foot nearer and put a blanket under the thigh';
const GROUP = 'stage-boxes-group';

/** Fourteen people, for each of whom something is kept in mind in every step. */
async function makeGroup(request: APIRequestContext): Promise<void> {
  const people = Array.from({ length: 14 }, (_, i) => ({
    id: `stage-boxes-${i}`,
    document: {
      ...newPerson(`Persephone-Anastasia ${String.fromCharCode(65 + i)} Longfellow-Harrington`),
      keepInMind: [
        { id: 'm', words: 'keeps the left knee bent and rests the head on two blankets', asks: [...STEP_TRAITS] },
      ],
    },
  }));
  for (const data of people) await request.post('/api/v1/people', { data });
  const document = { ...newGroup('Stage boxes'), members: people.map(({ id }) => id) };
  await request.post('/api/v1/groups', { data: { id: GROUP, document } });
}

/** The same plan with the worst names there are, two prompts at one moment, and hardly any time between the holds. */
function worst(plan: Plan): Plan {
  const steps = plan.steps.map((step): Step => {
    const name = `${step.name} ${LONG}`.slice(0, 110);
    if (step.kind !== 'hold') return { ...step, name };
    const prompt = (id: string) => ({
      id,
      at: { kind: 'after' as const, seconds: 2 },
      text: SAY,
      on: 'every' as const,
    });
    return {
      ...step,
      name,
      setupSeconds: 1,
      enterSeconds: 0,
      leaveSeconds: 0,
      switchSeconds: 1,
      stages: step.stages.map((stage) => ({ ...stage, name: `${stage.name} and slowly lower`.slice(0, 60) })),
      prompts: [...step.prompts.slice(0, 20), prompt('one'), prompt('two')],
    };
  });
  return { ...plan, title: `${plan.title} ${LONG}`.slice(0, 180), groupId: GROUP, groupSize: 14, steps };
}

for (const id of DEMOS) {
  test(`while ${id} is taught nothing lies over the time, the side or other words, at any size`, async ({
    page,
    request,
  }) => {
    test.setTimeout(300_000);
    await makeGroup(request);
    const { document } = await storedPlan(request, id);
    const answer = await request.post('/api/v1/plans', { data: { document: worst(document) } });
    const made = (await answer.json()) as { id: string; document: Plan };
    await page.clock.install({ time: new Date('2026-11-26T18:00:00Z') });
    await page.goto(`/teach/${made.id}`);
    await page.getByRole('button', { name: 'Begin' }).first().click();
    const timeline = compileTimeline(made.document, builtInLibrary);
    const holds = timeline.phases.filter(({ kind }) => kind === 'hold');
    const trouble: string[] = [];
    let nowMs = 0;
    async function look(atMs: number, where: string): Promise<void> {
      await passMs(page, atMs - nowMs);
      nowMs = atMs;
      const unseen = page.getByRole('button', { name: 'Stay here' });
      // The clock was moved in a jump, which looks as if the machine had slept.
      if (await unseen.isVisible()) await unseen.click();
      for (const size of SIZES) {
        await page.setViewportSize(size);
        const found = await misplacedWords(page);
        trouble.push(...found.map((what) => `${where}, ${size.width}×${size.height}: ${what}`));
      }
    }
    let before = -1;
    for (const phase of holds) {
      const name = `step ${phase.stepIndex + 1} ${'side' in phase ? phase.side : ''}`;
      // The change that leads to it, and the hold itself with what is said in it.
      if (phase.startMs - 500 > nowMs && before !== phase.stepIndex) await look(phase.startMs - 500, `before ${name}`);
      await look(phase.startMs + 3000, name);
      before = phase.stepIndex;
    }
    expect(trouble).toEqual([]);
  });
}
