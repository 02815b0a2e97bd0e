import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { breathFrom, holdFrom } from '#core/plan';
import { builtInLibrary, POSITIONS, TECHNIQUES } from '#library';
import { builtInKnowledge } from '#library/cautions';
import { planOf } from '../../tests/support/examples';
import { anyPerson, CLASS_DAY, has, someone } from '../../tests/support/people';
import { screen, suitsGroup } from './index';

const STEPS = [
  ...POSITIONS.map((entry) => holdFrom(entry, 'blended', entry.id)),
  ...TECHNIQUES.map((entry) => breathFrom(entry, entry.id)),
];
const hold = (id: string) => holdFrom(builtInLibrary.position(id)!, 'blended', id);

describe('what suits a group', () => {
  test('by hand: nobody hangs down with raised pressure in the eye; a rest suits, and so does everything without conditions', () => {
    const suits = suitsGroup([someone('A'), someone('B', has('glaucoma'))], builtInKnowledge, CLASS_DAY);
    expect([suits(hold('hanging-fold')), suits(hold('legs-up-wall')), suits(hold('side-lying'))]).toEqual([
      false,
      false,
      true,
    ]);
    expect(STEPS.every(suitsGroup([someone('A')], builtInKnowledge, CLASS_DAY))).toBe(true);
    expect(STEPS.every(suitsGroup([], builtInKnowledge, CLASS_DAY))).toBe(true);
  });

  test('is what screening a class of one step has for nobody more than to watch', () => {
    fc.assert(
      fc.property(
        fc.array(anyPerson, { minLength: 1, maxLength: 3 }),
        fc.subarray(STEPS, { minLength: 3, maxLength: 6 }),
        (people, steps) => {
          const suits = suitsGroup(people, builtInKnowledge, CLASS_DAY);
          for (const step of steps) {
            const levels = people.flatMap((person) => {
              const { steps, session } = screen(planOf(step), person, builtInKnowledge, CLASS_DAY);
              return [
                ...steps.map(({ level }) => level),
                ...session.filter(({ rule }) => rule.on.kind !== 'session').map(({ level }) => level),
              ];
            });
            expect(suits(step)).toBe(levels.every((level) => level === null || level === 'watch'));
          }
        },
      ),
      { numRuns: 40 },
    );
  });
});
