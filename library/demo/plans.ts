import { Plan } from '#core/plan';
import { TEMPLATES } from '../templates';

export interface DemoPlan {
  id: string;
  plan: Plan;
}

const from = (template: string, patch: Partial<Plan>): Plan => {
  const found = TEMPLATES.find(({ id }) => id === template);
  if (!found) throw new RangeError(`No template “${template}”.`);
  return Plan.parse({ ...found.plan, ...patch });
};

/** The same with a longer last rest: the last hold of the plan. */
function longer(plan: Plan, seconds: number): Plan {
  const at = plan.steps.findLastIndex(({ kind }) => kind === 'hold');
  const steps = plan.steps.map((step, i) =>
    i === at && step.kind === 'hold' && step.sides.kind === 'together'
      ? { ...step, locked: false, sides: { ...step.sides, seconds: step.sides.seconds + seconds } }
      : step,
  );
  return Plan.parse({ ...plan, steps });
}

/** Three groups at Wrackline Hall, and a workshop for one of them. */
export const DEMO_PLANS: readonly DemoPlan[] = [
  {
    id: 'demo-nurses',
    plan: from('restorative', {
      title: 'Before the night shift',
      tags: ['winter term', 'knees'],
      group: 'Night-shift nurses',
      groupId: 'demo-group-nurses',
      groupSize: 12,
      place: 'Wrackline Hall, low room',
      cupboard: 'demo-low-room',
      startsAt: '2026-11-26T18:00',
    }),
  },
  {
    id: 'demo-potters',
    plan: from('yin', {
      title: 'Hips and hands',
      tags: ['winter term', 'hips'],
      group: 'Potters',
      groupId: 'demo-group-potters',
      groupSize: 10,
      place: 'Wrackline Hall, low room',
      cupboard: 'demo-low-room',
      startsAt: '2026-11-28T10:30',
    }),
  },
  {
    id: 'demo-choir',
    plan: from('breath', {
      title: 'Long line, evening 3',
      tags: ['winter term', 'long line'],
      group: 'Choir singers',
      groupId: 'demo-group-singers',
      groupSize: 16,
      place: 'Wrackline Hall, boat loft',
      cupboard: 'demo-boat-loft',
      startsAt: '2026-12-01T19:15',
    }),
  },
  {
    id: 'demo-workshop',
    plan: from('workshop', {
      title: 'Breath workshop, winter',
      tags: ['workshop'],
      group: 'Choir singers',
      groupId: 'demo-group-singers',
      groupSize: 14,
      place: 'Wrackline Hall, boat loft',
      cupboard: 'demo-boat-loft',
      startsAt: '2026-12-12T10:00',
    }),
  },
  {
    // An hour that was planned by feel: fourteen minutes over, to be fitted.
    id: 'demo-hour',
    plan: longer(
      from('yin', {
        title: 'One hour, planned by feel',
        group: 'Choir singers',
        groupId: 'demo-group-singers',
        groupSize: 14,
        place: 'Wrackline Hall, low room',
        cupboard: 'demo-low-room',
        classSeconds: 3600,
      }),
      100,
    ),
  },
];
