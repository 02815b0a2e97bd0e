import { describe, expect, test } from '@jest/globals';
import { breathCost, type BreathPart } from '#core/breath';
import type { Technique } from '#core/catalogue';
import { TECHNIQUES } from '#library';

const partsOf = ({ practice }: Technique): BreathPart[] => practice.sets.flatMap(({ parts }) => parts);
const technique = (id: string): Technique => TECHNIQUES.find((one) => one.id === id)!;

describe('a technique is practised as it is called', () => {
  test('the even breath counts four, and is not the slow breath at six a minute again', () => {
    expect(partsOf(technique('equal-breath'))).toMatchObject([{ in: 4, holdFull: 0, out: 4, holdEmpty: 0 }]);
    expect(breathCost(technique('six-a-minute').practice).meanRate).toBe(6);
    const shapes = TECHNIQUES.map((one) => JSON.stringify(partsOf(one)));
    const twice = TECHNIQUES.filter(
      (one, i) => shapes.indexOf(shapes[i]!) !== i && !/moon|sun|left|right/i.test(one.id),
    );
    expect(twice.map(({ id }) => id)).toEqual([]);
  });

  test('an interrupted breath is interrupted where its name says', () => {
    const cycles = (id: string) => partsOf(technique(id)).filter((part) => part.kind === 'cycle');
    expect(cycles('interrupted-in')).toMatchObject([{ inSteps: { parts: 3 } }]);
    expect(cycles('interrupted-in')[0]).not.toHaveProperty('outSteps');
    expect(cycles('interrupted-out')).toMatchObject([{ outSteps: { parts: 3 } }]);
    expect(cycles('interrupted-out')[0]).not.toHaveProperty('inSteps');
  });

  test('the three-part breath ends with its parts joined', () => {
    expect(technique('three-part-breath').practice.sets.at(-1)?.parts).toMatchObject([
      { wave: ['belly', 'sideRibs', 'upperChest'], outDirection: 'fromAbove' },
    ]);
  });

  test('between holds on empty there are free breaths', () => {
    for (const one of TECHNIQUES) {
      const holdsEmpty = partsOf(one).some(
        (part) => (part.kind === 'cycle' && part.holdEmpty > 0) || (part.kind === 'retention' && part.held === 'empty'),
      );
      if (!holdsEmpty) continue;
      const freeAgain = one.practice.sets.every(({ parts }) =>
        parts.some(({ kind }) => kind === 'ownPace' || kind === 'recover'),
      );
      expect([one.id, freeAgain]).toEqual([one.id, true]);
    }
  });
});
