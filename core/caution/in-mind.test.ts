import { expect, test } from '@jest/globals';
import { POSITIONS } from '#library';
import { builtInKnowledge } from '#library/cautions';
import { demandsOf, inMind } from '#core/caution';
import { STEP_TRAITS, initials, newPerson, readPerson, type Person } from '#core/people';
import { holdFrom } from '#core/plan';
import { talk } from '../../tests/support/examples';

const mara: Person = {
  ...newPerson('Mara Quill'),
  keepInMind: [
    { id: 'k', words: 'blanket behind the left knee', asks: ['deepKneeBend'] },
    { id: 'h', words: 'head high', asks: ['headBelowHeart', 'inversion'] },
  ],
};
const tobias: Person = { ...newPerson('Tobias Fenn'), keepInMind: mara.keepInMind.slice(1) };
const people = [
  { id: 'm', person: mara },
  { id: 't', person: tobias },
  { id: 'n', person: newPerson('Nobody') },
];

test('only who has something that the step asks of the body, in the order of the room', () => {
  for (const position of POSITIONS) {
    const [approach] = Object.keys(position.defaults) as ['yin'];
    const step = holdFrom(position, approach, 'a');
    const reminders = inMind(people, step, builtInKnowledge);
    const asks = demandsOf(step, builtInKnowledge);
    const knee = asks.has('deepKneeBend');
    const head = asks.has('headBelowHeart') || asks.has('inversion');
    expect(reminders.find(({ personId }) => personId === 'm')?.words ?? []).toEqual([
      ...(knee ? ['blanket behind the left knee'] : []),
      ...(head ? ['head high'] : []),
    ]);
    expect(reminders.map((one) => one.initials)).toEqual([...(knee || head ? ['MQ'] : []), ...(head ? ['TF'] : [])]);
  }
  expect(inMind(people, talk('t', 60), builtInKnowledge)).toEqual([]);
});

test('initials of names as people have them', () => {
  expect(initials('Ines Harrowgate')).toBe('IH');
  expect(initials('  anne-marie  o’dell ')).toBe('AMO');
  expect(initials('Åsa')).toBe('Å');
  expect(initials('…')).toBe('?');
});

test('a person of the older version has nothing to keep in mind; what asks nothing is refused', () => {
  const { keepInMind, ...older } = { ...newPerson('Mara'), version: 1 };
  expect(keepInMind).toEqual([]);
  expect(readPerson(older)).toEqual({ ok: true, value: newPerson('Mara') });
  const wrong = readPerson({ ...mara, keepInMind: [{ id: 'k', words: 'x', asks: [] }] });
  expect(wrong.ok ? [] : wrong.issues.map(({ field }) => field)).toEqual(['keepInMind.0.asks']);
  expect(new Set(STEP_TRAITS).size).toBe(STEP_TRAITS.length);
});
