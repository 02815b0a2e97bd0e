import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { piecesByKind } from '#core/props';
import { restStep } from '#core/plan';
import { compileTimeline, propShelf } from '#core/timeline';
import { plan } from '../../tests/support/arbitraries';
import { noLibrary, planOf, talk, workedHold } from '../../tests/support/examples';

const row = (kind: 'blanket' | 'block', count = 1) => ({
  id: kind,
  kind,
  state: kind === 'block' ? 'flat' : 'basic',
  lie: 'lengthwise' as const,
  place: 'head' as const,
  side: 'centre' as const,
  count,
  mirror: true,
  optional: false,
  why: '',
});
const shelfOf = (document: Parameters<typeof compileTimeline>[0]) => propShelf(compileTimeline(document, noLibrary));

describe('the prop shelf', () => {
  test('a band for each step that uses a kind, from its set-up to its end', () => {
    const shelf = shelfOf(
      planOf({ ...workedHold, setUp: [row('block', 2)] }, talk('t', 60), {
        ...workedHold,
        id: 'b',
        setUp: [row('block'), row('blanket')],
      }),
    );
    expect(
      shelf.map(({ kind, most, bands }) => [
        kind,
        most,
        bands.map(({ startMs, endMs, count }) => [startMs / 1000, endMs / 1000, count]),
      ]),
    ).toEqual([
      [
        'block',
        2,
        [
          [0, 610, 2],
          [670, 1280, 1],
        ],
      ],
      ['blanket', 1, [[670, 1280, 1]]],
    ]);
  });

  test('props that only lie about while people talk or rest without them are not in use', () => {
    const held = { ...workedHold, setUp: [row('blanket')] };
    expect(shelfOf(planOf(held, talk('t', 60), restStep('r')))[0]?.bands).toHaveLength(1);
    expect(shelfOf(planOf(held, { ...restStep('r'), setUp: [row('blanket')] }))[0]?.bands).toHaveLength(2);
  });

  test('is never more or less than what lies in place in a hold', () => {
    fc.assert(
      fc.property(plan, (any) => {
        const timeline = compileTimeline(any, noLibrary);
        const shelf = propShelf(timeline);
        for (const phase of timeline.phases.filter(({ kind }) => kind === 'hold')) {
          const inUse = new Map(
            shelf.flatMap(({ kind, bands }) =>
              bands
                .filter((band) => band.startMs <= phase.startMs && phase.endMs <= band.endMs)
                .map(({ count }) => [kind, count] as const),
            ),
          );
          expect(inUse).toEqual(piecesByKind(phase.props));
        }
      }),
    );
  });
});
