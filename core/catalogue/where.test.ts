import { describe, expect, test } from '@jest/globals';
import { CLASS_WHERE_NAMES, setUpFor, type ClassWhere, type NamedSetUp } from '#core/catalogue';
import { POSITIONS } from '#library';
import { propRow } from '../../tests/support/examples';

const setUp = (id: string, look: Partial<NamedSetUp> = {}): NamedSetUp => ({
  id,
  name: id,
  home: false,
  items: [],
  ...look,
});
const setUps = [
  setUp('chair', { items: [propRow('chair', 'seat')] }),
  setUp('studio', { items: [propRow('flatBolster', 'spine')] }),
  setUp('home', { home: true, items: [propRow('pillow', 'spine')] }),
  setUp('wall', { items: [propRow('wall', 'legs')] }),
  setUp('bed', { home: true, where: 'bed', items: [propRow('pillow', 'knees')] }),
];

describe('the set-up for a place', () => {
  test.each<[ClassWhere | null, string]>([
    [null, 'chair'],
    ['floor', 'chair'],
    ['bed', 'bed'],
    ['sofa', 'bed'],
    ['chair', 'chair'],
    ['wall', 'wall'],
    ['outdoors', 'studio'],
    ['online', 'home'],
  ])('%s: %s', (where, id) => {
    expect(setUpFor({ setUps }, where)?.id).toBe(id);
  });

  test('where none is for a place, the first one stays', () => {
    expect(setUpFor({ setUps: setUps.slice(0, 2) }, 'bed')?.id).toBe('chair');
  });

  test('a wall or a chair that is optional is not what a set-up is for', () => {
    const optional = [setUp('a'), setUp('b', { items: [propRow('wall', 'legs', { optional: true })] })];
    expect(setUpFor({ setUps: optional }, 'wall')?.id).toBe('a');
  });

  test('every position has one everywhere, and never a wall or a chair outdoors where it has one without', () => {
    for (const position of POSITIONS) {
      for (const where of CLASS_WHERE_NAMES) expect(setUpFor(position, where)).toBeDefined();
      const fixed = ({ items }: NamedSetUp) =>
        items.some(({ kind, optional }) => !optional && (kind === 'wall' || kind === 'chair'));
      const chosen = setUpFor(position, 'outdoors')!;
      if (fixed(chosen)) expect(position.setUps.filter((one) => !one.home && !one.where).every(fixed)).toBe(true);
    }
  });

  test.each([
    'child-wide',
    'child-narrow',
    'prone-rest',
    'seated-fold',
    'crossed-twist',
    'reclined-twist',
    'last-rest',
  ])('%s has a set-up for the bed, made of what lies on one', (id) => {
    const position = POSITIONS.find((one) => one.id === id)!;
    const bed = setUpFor(position, 'bed')!;
    expect(bed.where).toBe('bed');
    for (const { kind } of bed.items) expect(['pillow', 'blanket', 'towel', 'cushion']).toContain(kind);
  });
});
