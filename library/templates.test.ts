import { describe, expect, test } from '@jest/globals';
import { availableIn, newPlace, propDemand } from '#core/cupboard';
import { Plan } from '#core/plan';
import { compileTimeline } from '#core/timeline';
import { builtInLibrary, TEMPLATES } from '#library';

/** What lies in the cupboard of an ordinary hall, for eight people. */
const PLAIN_HALL = availableIn({
  ...newPlace('A plain hall', 'hall'),
  stock: {
    flatBolster: 8,
    roundBolster: 8,
    block: 24,
    blanket: 32,
    cushion: 8,
    strap: 8,
    chair: 10,
    sandbag: 8,
    eyePillow: 8,
    pillow: 8,
    towel: 8,
  },
});
const PEOPLE = 8;
const minutes = (id: string): number => TEMPLATES.find((one) => one.id === id)!.plan.classSeconds / 60;

describe.each(TEMPLATES.map((template) => [template.id, template] as const))(
  'the template “%s”',
  (id, { plan, says }) => {
    const timeline = compileTimeline(plan, builtInLibrary);
    const total = timeline.phases.reduce((sum, { startMs, endMs }) => sum + (endMs - startMs), 0) / 1000;

    test('is a plan, says what it is for, and takes only what the library has', () => {
      expect(Plan.parse(plan)).toEqual(plan);
      expect(says.length).toBeGreaterThan(10);
      for (const step of plan.steps) {
        if (step.kind === 'hold')
          expect([step.name, builtInLibrary.position(step.position)?.id]).toEqual([step.name, step.position]);
        if (step.kind === 'breath') {
          expect([step.name, builtInLibrary.technique(step.technique)?.id]).toEqual([step.name, step.technique]);
        }
      }
    });

    test('fits the length of its class, and leaves no more than a tenth of it', () => {
      expect(total).toBeLessThanOrEqual(plan.classSeconds);
      expect(total).toBeGreaterThan(plan.classSeconds * 0.89);
    });

    test('has nothing to point out but a second side that is meant to be shorter', () => {
      expect(timeline.notes.filter(({ kind }) => kind !== 'uneven').map(({ message }) => message)).toEqual([]);
    });

    test('finds enough of everything in a plain hall, but for what everyone has at home', () => {
      if (plan.where === 'bed' || plan.where === 'online') {
        const kinds = plan.steps.flatMap((step) => ('setUp' in step ? (step.setUp ?? []) : [])).map(({ kind }) => kind);
        for (const kind of kinds) {
          expect(['pillow', 'cushion', 'blanket', 'towel', 'chair', 'belt', 'book', 'wall', 'scarf']).toContain(kind);
        }
        return;
      }
      expect([id, propDemand(timeline, PEOPLE, PLAIN_HALL).shortSteps]).toEqual([id, []]);
    });
  },
);

test('they are sixteen, in all four approaches, from 20 to 90 minutes, and no two have a title in common', () => {
  expect(TEMPLATES).toHaveLength(16);
  expect(new Set(TEMPLATES.map(({ plan }) => plan.approach)).size).toBe(4);
  expect([minutes('in-bed'), minutes('sport')]).toEqual([20, 90]);
  for (const { plan } of TEMPLATES) {
    expect(plan.classSeconds).toBeGreaterThanOrEqual(20 * 60);
    expect(plan.classSeconds).toBeLessThanOrEqual(90 * 60);
  }
  const titles = TEMPLATES.map(({ plan }) => plan.title);
  expect(new Set(titles).size).toBe(titles.length);
});

test('the breath without holding holds none, and pregnancy lies neither flat nor on the front', () => {
  const stepsOf = (id: string) => TEMPLATES.find((one) => one.id === id)!.plan.steps;
  for (const id of ['no-holding', 'pregnancy']) {
    for (const step of stepsOf(id)) {
      if (step.kind !== 'breath') continue;
      for (const part of step.practice.sets.flatMap(({ parts }) => parts)) {
        expect([id, step.name, part.kind]).not.toEqual([id, step.name, 'retention']);
        if (part.kind === 'cycle') expect([step.name, part.holdFull, part.holdEmpty]).toEqual([step.name, 0, 0]);
      }
    }
  }
  for (const step of stepsOf('pregnancy')) {
    if (step.kind !== 'hold') continue;
    const { traits } = builtInLibrary.position(step.position)!;
    const steep = step.position === 'propped-rest';
    expect([step.name, steep || !traits.some((trait) => trait === 'flatSupine' || trait === 'prone')]).toEqual([
      step.name,
      true,
    ]);
  }
});

test('on a chair nothing is done on the floor', () => {
  for (const step of TEMPLATES.find(({ id }) => id === 'chair')!.plan.steps) {
    if (step.kind !== 'hold' && step.kind !== 'breath') continue;
    expect([step.name, step.setUp.some(({ kind }) => kind === 'chair')]).toEqual([step.name, true]);
  }
});
