import { expect, test } from '@jest/globals';
import type { Stage } from '#core/plan';
import { TEMPLATES, builtInLibrary as library } from '#library';
import { sixTuesdays } from '../../tests/support/course';
import { deriveCourse } from './derive';
import { Thread } from './thread';
import { whatCanGrow } from './what-can-grow';

const NOTHING = { taught: [], easyRatios: [] };
const restorative = TEMPLATES.find(({ id }) => id === 'restorative')!.plan;

test('what can grow in a plan is each hold, each family of several, each counted breath, each prop, and talk', () => {
  const found = whatCanGrow(restorative, library);
  const keys = found.map(({ key }) => key);
  expect(keys).toEqual(
    expect.arrayContaining(['length s10', 'family supine', 'breath s4', 'props s5 block-forehead', 'talk']),
  );
  expect(keys).not.toContain('length s1');
  expect(new Set(keys).size).toBe(keys.length);
  const named = (key: string) => found.find((one) => one.key === key);
  expect(named('length s10')).toMatchObject({ name: 'Last rest', still: { from: 420, to: 420 } });
  expect(named('breath s4')).toMatchObject({ still: { from: { in: 4, holdFull: 0, out: 8, holdEmpty: 0 } } });
  expect(named('props s5 block-forehead')).toMatchObject({ still: { from: 2, to: 2 } });
});
test('so does each stage of a hold that has a length of its own', () => {
  const stage = (id: string, name: string, length: Stage['length']): Stage => ({
    ...{ id, name, length, breathSeconds: null },
    ...{ position: null, setUp: null },
  });
  const stages = [
    stage('a', 'upright', { kind: 'fixed', seconds: 90 }),
    stage('b', '', { kind: 'fixed', seconds: 60 }),
    stage('c', 'folded', { kind: 'share', weight: 1 }),
  ];
  const steps = restorative.steps.map((step) =>
    step.id === 's10' && step.kind === 'hold' ? { ...step, stages } : step,
  );
  const found = whatCanGrow({ ...restorative, steps }, library).filter(({ key }) => key.startsWith('stage'));
  expect(found.map(({ key, name, still }) => [key, name, still.from])).toEqual([
    ['stage s10 a', 'Last rest, upright', 90],
    ['stage s10 b', 'Last rest, stage 2', 60],
  ]);
  for (const { still } of found) expect(Thread.safeParse(still).success).toBe(true);
});
test.each(TEMPLATES.map(({ id, plan }) => [id, plan] as const))(
  'in the plan “%s” everything that can grow is a thread that fits, and as it stands changes nothing',
  (_, plan) => {
    for (const { still } of whatCanGrow(plan, library)) {
      expect(Thread.safeParse(still).success).toBe(true);
      if (still.kind === 'talk' || (still.kind === 'length' && still.of.kind === 'family')) continue;
      const of = sixTuesdays({ weeks: 1, base: { planId: null, plan }, threads: [still] });
      const [week] = deriveCourse(of, NOTHING, { library });
      expect(week?.misfits).toEqual([]);
    }
  },
);
