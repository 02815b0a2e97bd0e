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

/** Three groups at Wrackline Hall, and a workshop for one of them. */
export const DEMO_PLANS: readonly DemoPlan[] = [
  {
    id: 'demo-nurses',
    plan: from('restorative', {
      title: 'Before the night shift',
      group: 'Night-shift nurses',
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
      group: 'Potters',
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
      group: 'Choir singers',
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
      group: 'Choir singers',
      groupSize: 14,
      place: 'Wrackline Hall, boat loft',
      cupboard: 'demo-boat-loft',
      startsAt: '2026-12-12T10:00',
    }),
  },
];
