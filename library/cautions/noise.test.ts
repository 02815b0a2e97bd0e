import { describe, expect, test } from '@jest/globals';
import { screen } from '#core/caution';
import { countedFrom } from '#core/people';
import { holdFrom } from '#core/plan';
import { demoPeople } from '#library/demo';
import { CONDITIONS, builtInKnowledge } from '#library/cautions';
import { planOf } from '../../tests/support/examples';
import { noiseOf } from '../../tests/support/noise';
import { TWELVE, TWELVE_DAY } from '../../tests/support/twelve-people';
import { has, someone } from '../../tests/support/people';
import { POSITIONS } from '../entries';
import { TEMPLATES } from '../templates';

/** The four templates there were when lines were first counted. */
const COUNTED = ['restorative', 'yin', 'breath', 'workshop'];
const plans = TEMPLATES.filter(({ id }) => COUNTED.includes(id)).map(({ plan }) => plan);
const all = TEMPLATES.map(({ plan }) => plan);
const lines = (people: Parameters<typeof noiseOf>[0], of = plans): number =>
  [...noiseOf(people, of, builtInKnowledge, TWELVE_DAY).values()].reduce(
    (sum, { atSteps, ofClass }) => sum + atSteps + ofClass,
    0,
  );

describe('what has to be read, over the templates that were counted first', () => {
  // Before cautions were measured, graded and said once there were 355 lines and 380, those that repeated an earlier one
  // read in full each time. Such a repeat is a mark now, and not counted.
  test('by the twelve people: at least a third less than there was', () => {
    expect(lines(TWELVE)).toBeLessThanOrEqual((355 * 2) / 3);
  });

  test('by the people of the hall: at least a third less than there was', () => {
    expect(lines(demoPeople)).toBeLessThanOrEqual((380 * 2) / 3);
  });

  test('and no more for each of all the templates than for each of those', () => {
    expect(lines(TWELVE, all) / all.length).toBeLessThanOrEqual((355 * 2) / 3 / COUNTED.length);
    expect(lines(demoPeople, all) / all.length).toBeLessThanOrEqual((380 * 2) / 3 / COUNTED.length);
  });
});

test('of someone with nothing nothing is said, over all templates', () => {
  expect(noiseOf(TWELVE, all, builtInKnowledge, TWELVE_DAY).get('twelve-12')).toEqual({
    atSteps: 0,
    ofClass: 0,
    repeats: 0,
  });
});

test('in a class of all positions nobody with one condition has more than two in five flagged, except from 20 weeks of pregnancy', () => {
  const steps = POSITIONS.map((position) => holdFrom(position, 'restorative', position.id));
  const plan = planOf(...steps);
  const much: [string, number][] = [];
  for (const { id, degrees, since } of CONDITIONS) {
    for (const degree of degrees.length > 0 ? degrees.map((one) => one.id) : [null]) {
      const day = since === 'weeks' ? countedFrom(16, TWELVE_DAY) : since === 'day' ? '2026-03-01' : null;
      const person = someone('A', has(id, { degree, since: day }));
      const screened = screen(plan, person, builtInKnowledge, TWELVE_DAY);
      const flagged = screened.steps.filter(({ level }) => level !== null).length;
      if (flagged > 0.4 * steps.length) much.push([`${id} ${degree ?? ''}`.trim(), flagged]);
    }
  }
  expect(much).toEqual([]);
});
