import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  homeSetUp,
  HOUSEHOLD,
  momentsOf,
  packingList,
  propDemand,
  propNeeds,
  unmetPieces,
  propSolutions,
} from '#core/cupboard';
import { cycleOf, setOf } from '#core/breath';
import { editedPlan, restStep, setDetails, setOtherSetUp, type HoldStep, type Plan } from '#core/plan';
import { setUpRowInWords, type SetUpRow } from '#core/props';
import { compileTimeline } from '#core/timeline';
import { builtInLibrary, POSITIONS } from '#library';
import { plan, setUp } from '../../tests/support/arbitraries';
import { breathStep, noLibrary, planOf, propRow, workedHold } from '../../tests/support/examples';

const bolster = propRow('flatBolster', 'spine');
const pillow = (count: number) => propRow('pillow', 'spine', { count });
const together = (id: string, ...rows: SetUpRow[]): HoldStep => ({
  ...workedHold,
  id,
  sides: { kind: 'together', seconds: 300 },
  setUp: rows,
});
const timelineOf = (document: Plan) => compileTimeline(document, noLibrary);
const needs = (document: Plan, people: number) =>
  propNeeds(timelineOf(document), people).map(({ kind, each, group, stepIndex }) => [kind, each, group, stepIndex]);

describe('what a plan needs', () => {
  test('the peak of one person and of the group, with the step in which it happens', () => {
    const document = planOf(
      together('a', bolster, propRow('blanket', 'head')),
      together('b', propRow('blanket', 'knees', { side: 'each', state: 'rolled' }), propRow('blanket', 'head')),
    );
    expect(needs(document, 14)).toEqual([
      ['flatBolster', 1, 14, 0],
      ['blanket', 3, 42, 1],
    ]);
  });

  test('a block that leaves mid-hold is needed until it leaves', () => {
    const block = propRow('block', 'sacrum', { state: 'edge' });
    const leaving: HoldStep = {
      ...together('a', block, bolster),
      stages: [
        {
          id: 's1',
          name: 'raised',
          length: { kind: 'fixed', seconds: 120 },
          breathSeconds: null,
          position: null,
          setUp: null,
        },
        {
          id: 's2',
          name: 'lower',
          length: { kind: 'share', weight: 1 },
          breathSeconds: null,
          position: null,
          setUp: [bolster],
        },
      ],
    };
    const moments = momentsOf(timelineOf(planOf(leaving)), 6);
    expect(moments.map(({ wants }) => wants.map(({ kind, pieces }) => [kind, pieces]))).toEqual([
      [
        ['block', 6],
        ['flatBolster', 6],
      ],
      [['flatBolster', 6]],
    ]);
    // Set-up 40 s, way in 25 s, two minutes with the block.
    expect(moments[1]?.startMs).toBe((40 + 25 + 120) * 1000);
  });

  test('where the group is split, each part counts its own', () => {
    const split = editedPlan(planOf(together('a', bolster)), setOtherSetUp('a', { people: 4, setUp: [pillow(2)] }));
    expect(needs(split, 14)).toEqual([
      ['flatBolster', 1, 10, 0],
      ['pillow', 2, 8, 0],
    ]);
    // More people than there are have it: everyone has it, and nobody the other.
    expect(needs(editedPlan(split, setOtherSetUp('a', { people: 20, setUp: [pillow(2)] })), 14)).toEqual([
      ['pillow', 2, 28, 0],
    ]);
  });

  test('a set-up that nobody has counts for nobody: blocks that all of the group do without', () => {
    const blocks = { ...bolster, kind: 'block' as const, state: 'flat', count: 4 };
    const split = editedPlan(
      planOf(together('a', blocks)),
      setOtherSetUp('a', { people: 14, setUp: [{ ...blocks, count: 1 }] }),
    );
    expect(needs(split, 14)).toEqual([['block', 1, 14, 0]]);
  });

  test('props that lie about while people rest without them are free for others', () => {
    expect(momentsOf(timelineOf(planOf(together('a', bolster), restStep('r'))), 5)).toHaveLength(1);
  });

  test('is never less than any moment of any hold has in place', () => {
    fc.assert(
      fc.property(plan, fc.integer({ min: 1, max: 30 }), (document, people) => {
        const timeline = compileTimeline({ ...document, groupSize: people }, noLibrary);
        const peaks = new Map(propNeeds(timeline, people).map(({ kind, group }) => [kind, group]));
        for (const { kind, props, stepIndex } of timeline.phases) {
          if (kind !== 'hold' || timeline.steps[stepIndex]?.otherSetUp) continue;
          for (const prop of props)
            if (prop.kind !== 'wall') expect(peaks.get(prop.kind)).toBeGreaterThanOrEqual(prop.count * people);
        }
      }),
    );
  });
});

describe('against a cupboard', () => {
  const document = planOf(together('a', bolster), together('b', propRow('block', 'hands', { side: 'each' })));

  test('a group of 14 with 10 bolsters and 9 pillows is met; without pillows the step is named', () => {
    const met = propDemand(timelineOf(document), 14, { flatBolster: 10, pillow: 9, block: 28 });
    expect(met.shortSteps).toEqual([]);
    const short = propDemand(timelineOf(document), 14, { flatBolster: 10, block: 28 });
    expect(short.shortSteps).toEqual([0]);
    expect(unmetPieces(short.moments[0]!.assignment)).toBe(4);
  });

  test('moments do not take from each other: what one step used is back for the next', () => {
    const twice = planOf(together('a', bolster), together('b', bolster));
    expect(propDemand(timelineOf(twice), 10, { flatBolster: 10 }).shortSteps).toEqual([]);
  });

  test('more in the cupboard never leaves more unmet', () => {
    fc.assert(
      fc.property(setUp, fc.integer({ min: 1, max: 12 }), fc.integer({ min: 0, max: 9 }), (rows, people, stock) => {
        const timeline = timelineOf(planOf({ ...together('a'), setUp: rows }));
        const unmet = (count: number) =>
          propDemand(timeline, people, { blanket: count, pillow: count, block: count, flatBolster: count }).moments.map(
            ({ assignment }) => unmetPieces(assignment),
          );
        const [few, more] = [unmet(stock), unmet(stock + 2)];
        for (const [i, pieces] of more.entries()) expect(pieces).toBeLessThanOrEqual(few[i]!);
      }),
      { numRuns: 60 },
    );
  });
});

describe('ways out', () => {
  const bridge = POSITIONS.find(
    ({ id, setUps }) => setUps.length > 1 && setUps[0]!.items.some(({ kind }) => kind === 'flatBolster') && id,
  )!;
  const step: HoldStep = { ...together('a'), position: bridge.id, setUp: bridge.setUps[0]!.items };
  const document = editedPlan(planOf(step), setDetails({ groupSize: 14 }));
  const stock = { flatBolster: 10, blanket: 60, block: 60, pillow: 60, cushion: 20, chair: 20, strap: 20 };
  const scarce = { ...stock, blanket: 24, pillow: 0, block: 60, flatBolster: 3 };

  test('every one of them leaves nothing unmet', () => {
    const found = propSolutions(step, document, builtInLibrary, POSITIONS, stock);
    expect(new Set(found.map(({ kind }) => kind))).toContain('position');
    for (const way of [...found, ...propSolutions(step, document, builtInLibrary, POSITIONS, scarce)]) {
      const changed: HoldStep =
        way.kind === 'split'
          ? { ...step, otherSetUp: { people: way.people, setUp: way.setUp.items } }
          : { ...step, setUp: way.setUp.items };
      const cupboard = found.includes(way) ? stock : scarce;
      expect(propDemand(timelineOf(planOf(changed)), 14, cupboard).shortSteps).toEqual([]);
    }
  });

  test('where nothing would work none is offered', () => {
    expect(
      propSolutions({ ...step, setUp: [bolster] }, document, builtInLibrary, [], {}).filter(
        ({ kind }) => kind === 'split',
      ),
    ).toEqual([]);
  });

  test('a breath goes to another seat that works, for all or for some; never to another position', () => {
    const seat = {
      ...breathStep([setOf('a', [cycleOf([4, 0, 6, 0])], 10)]),
      setUp: [propRow('roundBolster', 'knees')],
    };
    const group = editedPlan(planOf(seat), setDetails({ groupSize: 8 }));
    const chairs = { chair: 8, roundBolster: 5 };
    const found = propSolutions(seat, group, builtInLibrary, POSITIONS, chairs);
    expect(new Set(found.map(({ kind }) => kind))).toEqual(new Set(['setUp', 'split']));
    for (const way of found) {
      const others = way.kind === 'split' ? { people: way.people, setUp: way.setUp.items } : null;
      const changed = { ...seat, setUp: others ? seat.setUp : way.setUp.items, otherSetUp: others };
      expect(propDemand(timelineOf(planOf(changed)), 8, chairs).shortSteps).toEqual([]);
      if (way.kind === 'split') expect(way.people).toBe(3);
    }
  });

  test('a wall that is too short rules out the set-ups that need it', () => {
    const noWall = propSolutions(step, document, builtInLibrary, POSITIONS, stock, (rows) =>
      rows.every(({ kind }) => kind !== 'wall'),
    );
    expect(noWall.some(({ setUp: { items } }) => items.some(({ kind }) => kind === 'wall'))).toBe(false);
  });
});

describe('a packing list', () => {
  const document = planOf(
    together('a', bolster, propRow('blanket', 'head')),
    together('b', propRow('blanket', 'knees', { state: 'rolled' })),
  );

  test('brings what the hall has not, and no more', () => {
    const list = packingList(timelineOf(document), 12, { blanket: 8 }, { flatBolster: 20, blanket: 40 });
    expect(list.kinds).toEqual([
      { kind: 'flatBolster', use: 12, there: 0, bring: 12 },
      { kind: 'blanket', use: 12, there: 8, bring: 4 },
    ]);
    expect(list.shortSteps).toEqual([]);
  });

  test('brings substitutes where the cupboard has too few, and says where it is still short', () => {
    const list = packingList(timelineOf(document), 12, { blanket: 12 }, { flatBolster: 10, pillow: 4 });
    expect(list.kinds.find(({ kind }) => kind === 'pillow')).toEqual({ kind: 'pillow', use: 4, there: 0, bring: 4 });
    expect(list.shortSteps).toEqual([]);
    expect(packingList(timelineOf(document), 12, { blanket: 12 }, { flatBolster: 10 }).shortSteps).toEqual([0]);
  });

  test('with what it brings every step is as well met as with both cupboards at once', () => {
    fc.assert(
      fc.property(setUp, setUp, fc.integer({ min: 0, max: 8 }), fc.integer({ min: 0, max: 8 }), (a, b, here, own) => {
        const timeline = timelineOf(planOf({ ...together('a'), setUp: a }, { ...together('b'), setUp: b }));
        const [there, mine] = [
          { blanket: here, block: here, pillow: here },
          { blanket: own, flatBolster: own, book: own },
        ];
        const both = { blanket: here + own, block: here, pillow: here, flatBolster: own, book: own };
        const list = packingList(timeline, 4, there, mine);
        const whole = propDemand(timeline, 4, both);
        expect(list.moments.map(({ assignment }) => unmetPieces(assignment))).toEqual(
          whole.moments.map(({ assignment }) => unmetPieces(assignment)),
        );
        for (const { bring, kind } of list.kinds)
          expect(bring).toBeLessThanOrEqual((mine as Record<string, number>)[kind] ?? 0);
      }),
      { numRuns: 60 },
    );
  });
});

describe('at home', () => {
  const inWords = (rows: SetUpRow[]) => homeSetUp(rows, undefined).setUp.map(setUpRowInWords);

  test('two firm pillows for a bolster, books for a block, a belt for a strap, a scarf over the eyes', () => {
    expect(
      inWords([
        bolster,
        propRow('block', 'hands', { state: 'edge', side: 'left' }),
        propRow('strap', 'feet'),
        propRow('eyePillow', 'eyes'),
      ]),
    ).toEqual([
      '2 pillows, whole, along the spine',
      '4 thick books, under the hands, left',
      'belt or cord, round the feet',
      'scarf, folded, over the eyes',
    ]);
  });

  test('what nothing at home comes near is left out and told', () => {
    const { rows, setUp: left } = homeSetUp([propRow('roundBolster', 'knees'), propRow('stick', 'behind')], undefined);
    expect(rows.map(({ how }) => how)).toEqual(['instead', 'nothing']);
    expect(left.every(({ kind }) => HOUSEHOLD.has(kind))).toBe(true);
  });

  test('every set-up of the library can be laid at home or says what is missing', () => {
    for (const position of POSITIONS)
      for (const { items } of position.setUps) {
        const { setUp: home, rows } = homeSetUp(items, position);
        for (const { kind } of home) expect(HOUSEHOLD.has(kind)).toBe(true);
        for (const { how, instead } of rows) expect(instead.length > 0).toBe(how !== 'nothing');
      }
  });
});
