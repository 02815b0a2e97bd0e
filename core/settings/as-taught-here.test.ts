import { describe, expect, test } from '@jest/globals';
import { cycleOf, setOf } from '#core/breath';
import { libraryOf } from '#core/catalogue';
import { holdFrom, Step, talkStep, type HoldStep } from '#core/plan';
import { asTaughtHere, DEFAULT_SETTINGS } from '#core/settings';
import { POSITIONS } from '#library';
import { USUAL_SENTENCES } from '#library/usual-sentences';
import { breathStep } from '../../tests/support/examples';

const library = libraryOf(POSITIONS, []);
const usual = DEFAULT_SETTINGS.school;
const hold = (id: string): HoldStep => holdFrom(library.position(id)!, 'yin', 'a');
const taught = (step: HoldStep, school: Partial<typeof usual>) =>
  asTaughtHere(step, library, { ...usual, ...school }, USUAL_SENTENCES) as HoldStep;

describe('a new hold', () => {
  test('is as the library has it, if nothing else is said', () => {
    for (const { id } of POSITIONS) expect(taught(hold(id), {})).toEqual(hold(id));
  });

  test('of two sides is followed by what follows each side here, and one that is done together by what it has', () => {
    const swan = hold('sleeping-swan');
    expect(taught(swan, { afterSide: 'none' })).toMatchObject({ rebound: { kind: 'none' }, loosen: null });
    expect(taught(swan, { afterSide: 'rest' }).rebound).toMatchObject({ kind: 'afterEach' });
    expect(taught(swan, { afterSide: 'release' }).loosen).toMatchObject({ when: 'afterEach', seconds: 20 });
    expect(taught(hold('butterfly-fold'), { afterSide: 'release' })).toEqual(hold('butterfly-fold'));
  });

  test('aims no higher than the highest intensity', () => {
    const strong = { ...hold('sleeping-swan'), strength: 7 };
    expect(taught(strong, { maxIntensity: 4 }).strength).toBe(4);
    expect(taught({ ...strong, strength: 3 }, { maxIntensity: 4 }).strength).toBe(3);
    expect(taught({ ...strong, strength: null }, { maxIntensity: 4 }).strength).toBeNull();
  });

  test('says whether it is still, unless it is too short for that', () => {
    const long = hold('sleeping-swan');
    expect(taught(long, { movement: 'small' }).prompts.at(-1)).toMatchObject({
      at: { kind: 'after', seconds: 60 },
      text: 'Small movements are welcome.',
    });
    const short: HoldStep = { ...long, sides: { kind: 'together', seconds: 45 } };
    expect(taught(short, { movement: 'still' }).prompts).toEqual(long.prompts);
  });

  test('is measured in whole breaths where counting goes by the breath', () => {
    const byBreath = { counting: 'breath', breathSeconds: 7 } as const;
    const swan: HoldStep = {
      ...hold('sleeping-swan'),
      sides: { kind: 'each', first: 'house', length: { kind: 'perSide', left: 180, right: 2 } },
    };
    expect(taught(swan, byBreath)).toMatchObject({
      breathSeconds: 7,
      sides: { length: { kind: 'perSide', left: 26 * 7, right: 7 } },
    });
    expect(taught(swan, { counting: 'metronome' })).toEqual(swan);
  });

  test('is a step that a plan can have', () => {
    for (const { id } of POSITIONS) {
      const step = taught(hold(id), { afterSide: 'release', movement: 'still', maxIntensity: 3 });
      expect(Step.safeParse(step).error).toBeUndefined();
    }
  });
});

test('a throat sounds as loud as it is here, unless the breath says how loud', () => {
  const parts = [
    cycleOf([4, 0, 4, 0], { sound: 'throat' }),
    cycleOf([4, 0, 4, 0], { sound: 'throat', loudness: 'soft' }),
  ];
  const step = asTaughtHere(
    breathStep([setOf('a', [...parts, cycleOf([4, 0, 4, 0])], 1)]),
    library,
    {
      ...usual,
      throat: 'loud',
    },
    USUAL_SENTENCES,
  );
  const loudness =
    step.kind === 'breath' && step.practice.sets[0]?.parts.map((part) => 'loudness' in part && part.loudness);
  expect(loudness).toEqual(['loud', 'soft', false]);
});

test('a plain breath goes at each person’s own pace where counting goes by the breath', () => {
  const step = breathStep([setOf('a', [cycleOf([4, 0, 4, 0])], 6)]);
  const kinds = (counting: typeof usual.counting): string[] => {
    const made = asTaughtHere(step, library, { ...usual, counting }, USUAL_SENTENCES);
    return made.kind === 'breath' ? made.practice.sets.flatMap(({ parts }) => parts.map(({ kind }) => kind)) : [];
  };
  expect(kinds('breath')).toEqual(['ownPace']);
  expect(kinds('metronome')).toEqual(['cycle']);
});

test('a talk stays a talk', () => {
  const talk = talkStep('t');
  expect(asTaughtHere(talk, library, { ...usual, maxIntensity: 1 }, USUAL_SENTENCES)).toBe(talk);
});
