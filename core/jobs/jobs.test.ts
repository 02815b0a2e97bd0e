import { MEASURED_TRAITS } from '#core/caution';
import { STEP_TRAITS } from '#core/people';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { deriveCourse, newCourse } from '#core/course';
import { packingList, propDemand, propSolutions } from '#core/cupboard';
import { usualFitOptions, fitHolds } from '#core/fit';
import { ORDER_RULES, orderSteps } from '#core/order';
import { emptyPlan, holdFrom, Plan, restStep, type HoldStep, type Step } from '#core/plan';
import {
  doJob,
  planMetrics,
  FORECAST,
  jobOf,
  withVariant,
  MAX_VARIANTS,
  NO_VARIANTS,
  readVariants,
  type Variant,
} from '#core/jobs';
import { compileTimeline } from '#core/timeline';
import { builtInLibrary, POSITIONS } from '#library';
import { plan as anyPlan } from '../../tests/support/arbitraries';
import { noLibrary } from '../../tests/support/examples';

const hold = (id: string, position: string): Step => holdFrom(builtInLibrary.position(position)!, 'yin', id);
const plan = Plan.parse({
  ...emptyPlan('Evening', 'yin'),
  groupSize: 8,
  classSeconds: 1800,
  steps: [
    hold('a', 'butterfly-fold'),
    hold('b', 'reclined-twist'),
    hold('c', 'sphinx'),
    restStep('r', 'Last rest', 420),
  ],
});
const planned = { plan, library: builtInLibrary };
/** As it goes to a thread and comes back. */
const sent = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

describe('jobs', () => {
  test('a job that was sent gives what the function gives here', () => {
    const options = usualFitOptions(plan, builtInLibrary);
    expect(doJob(sent(jobOf('fit', plan, builtInLibrary, { options })))).toEqual(fitHolds(planned, options));
    expect(doJob(sent(jobOf('order', plan, builtInLibrary, { rules: ORDER_RULES })))).toEqual(
      orderSteps(planned, ORDER_RULES),
    );
  });

  test('so it is with props: needs, solutions and packing', () => {
    const here = sent({ blanket: 3, flatBolster: 2 });
    const timeline = compileTimeline(plan, builtInLibrary);
    expect(doJob(sent(jobOf('props', plan, builtInLibrary, { available: here })))).toEqual(
      propDemand(timeline, 8, here),
    );
    const [step] = plan.steps as [HoldStep];
    const candidates = POSITIONS.slice(0, 20);
    const ask = { stepIds: [step.id, 'r'], candidates, available: here, atWall: 0 };
    const noWall: Parameters<typeof propSolutions>[5] = (setUp) => !setUp.some(({ kind }) => kind === 'wall');
    // A rest has none, and a step that is not in the plan has no answer.
    expect(doJob(sent(jobOf('propSolutions', plan, builtInLibrary, ask)))).toEqual({
      [step.id]: propSolutions(step, plan, builtInLibrary, candidates, here, noWall),
      r: [],
    });
    expect(doJob(jobOf('propSolutions', plan, builtInLibrary, { ...ask, stepIds: ['gone'] }))).toEqual({});
    expect(doJob(sent(jobOf('packing', plan, builtInLibrary, { there: {}, own: { blanket: 30 } })))).toEqual(
      packingList(timeline, 8, {}, { blanket: 30 }),
    );
  });

  test('it carries the entries the plan uses, and no others', () => {
    const { positions } = jobOf('order', plan, builtInLibrary, { rules: ORDER_RULES });
    expect(positions.map(({ id }) => id).sort()).toEqual(['butterfly-fold', 'reclined-twist', 'sphinx']);
  });

  test('a forecast comes with the paces it stands on; a price for each length that is asked', () => {
    const { forecast, paces } = doJob(
      jobOf('forecast', plan, builtInLibrary, { runs: [], ...FORECAST, evenings: 200 }),
    );
    expect([forecast.runs, paces.runs]).toEqual([0, 0]);
    const options = usualFitOptions(plan, builtInLibrary);
    expect(doJob(jobOf('price', plan, builtInLibrary, { stepId: 'a', by: [60, -60], options }))).toHaveLength(2);
  });

  test('what is done is told from 0 to 1', () => {
    const heard: number[] = [];
    doJob(jobOf('order', plan, builtInLibrary, { rules: ORDER_RULES }), (share) => heard.push(share));
    expect(heard.at(-1)).toBe(1);
    expect(heard.every((share, i) => share >= (heard[i - 1] ?? 0) && share <= 1)).toBe(true);
  });
});

describe('a plan in figures', () => {
  test('areas are held as long as the holds that are for them', () => {
    const { areas, totals, steps, props } = planMetrics(planned);
    expect(steps).toBe(4);
    for (const { area, ms } of areas) {
      const expected = plan.steps.reduce((sum, step) => {
        if (step.kind !== 'hold' || !builtInLibrary.position(step.position)!.areas.includes(area)) return sum;
        const { sides } = step;
        return sum + 1000 * ('seconds' in sides ? sides.seconds : 2 * (sides.length as { seconds: number }).seconds);
      }, 0);
      expect(ms).toBe(expected);
    }
    expect(totals.holdMs).toBeGreaterThan(0);
    expect(props.every(({ group }) => group % 8 === 0)).toBe(true);
  });

  test('any plan has figures; lists come with the most first', () => {
    fc.assert(
      fc.property(anyPlan, (any) => {
        const { areas, asks, tally, totals } = planMetrics({ plan: any, library: noLibrary });
        expect([...areas].sort((a, b) => b.ms - a.ms)).toEqual(areas);
        expect([...asks].sort((a, b) => b.ms - a.ms)).toEqual(asks);
        // Without a library only lengths and practices say what is asked.
        const known: readonly string[] = [...STEP_TRAITS, ...MEASURED_TRAITS];
        for (const { ask } of asks) expect(known).toContain(ask);
        expect(tally.propMove).toBe(totals.propMoves);
      }),
    );
  });
});

describe('variants', () => {
  const variant = (id: string): Variant => ({ id, name: id, madeAt: '2026-11-25T15:00:00.000Z', plan });

  test('as many as can be told apart; the oldest gives way', () => {
    const kept = ['a', 'b', 'c', 'd'].reduce((all, id) => withVariant(all, variant(id)), NO_VARIANTS);
    expect(kept.variants.map(({ id }) => id)).toEqual(['b', 'c', 'd']);
    expect(kept.variants).toHaveLength(MAX_VARIANTS);
    expect(readVariants(sent(kept))).toEqual({ ok: true, value: kept });
  });

  test('what does not fit is told by its field', () => {
    const wrong = { ...NO_VARIANTS, variants: [{ ...variant('a'), name: ' ' }] };
    expect(readVariants(wrong)).toMatchObject({ ok: false, issues: [{ field: 'variants.0.name' }] });
    expect(readVariants({ ...NO_VARIANTS, version: 9 }).ok).toBe(false);
    const four = ['a', 'b', 'c', 'd'].map(variant);
    expect(readVariants({ ...NO_VARIANTS, variants: four })).toMatchObject({
      ok: false,
      issues: [{ reason: 'At most 3 variants are kept beside a plan.' }],
    });
  });
});

describe('a course in a thread', () => {
  const course = {
    ...newCourse('Evenings', plan, null, 4),
    threads: [
      {
        ...{ id: 't', kind: 'length' as const, of: { kind: 'step' as const, step: 'a' }, grid: 15 as const },
        ...{ from: 180, to: 240, mostAWeek: 30, byWeek: 4 },
      },
      { id: 'n', kind: 'new' as const, entry: 'lateral-bend-lying', week: 3, after: 'a', needs: [] },
    ],
  };
  const record = { taught: [], easyRatios: [] };
  test('has the weeks it has here, with their ribbons, also with what no week before had', () => {
    const job = sent(jobOf('course', plan, builtInLibrary, { course, record, rules: {} }));
    const { weeks, threads, balance } = doJob(job);
    const here = deriveCourse(course, record, { library: builtInLibrary });
    expect(sent(weeks.map(({ plan: of, week }) => ({ of, week })))).toEqual(
      sent(here.map(({ plan: of, week }) => ({ of, week }))),
    );
    expect(weeks.map(({ misfits }) => misfits)).toEqual([[], [], [], []]);
    expect(threads).toHaveLength(2);
    expect(balance.map(({ week }) => week)).toEqual([1, 2, 3, 4]);
    for (const { ribbon, totals } of weeks) {
      expect(ribbon.length).toBeGreaterThan(0);
      expect(totals.totalMs).toBeGreaterThan(0);
    }
  });
  test('says what follows from each of some changes', () => {
    const shorter = { ...course, weeks: 3 };
    const job = sent(
      jobOf('courseFollows', plan, builtInLibrary, { course, record, rules: {}, changed: [course, shorter] }),
    );
    const [none, one] = doJob(job);
    expect(none).toEqual([]);
    expect(one).toContainEqual({ week: 4, kind: 'gone' });
  });
});
