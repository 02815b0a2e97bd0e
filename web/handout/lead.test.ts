import { describe, expect, test } from '@jest/globals';
import type { HandoutLength, HandoutPhase } from '#core/exchange';
import { leader } from './lead';

const phase = (step: number, part: HandoutPhase['part'], side: HandoutPhase['side'], ms: number, says = '') => ({
  step,
  part,
  side,
  ms,
  says,
});
const LENGTH: HandoutLength = {
  totalMs: 480_000,
  steps: ['3:00 each side', '1:30'],
  phases: [
    phase(0, 'in', 'left', 15_000, 'Lie down.'),
    phase(0, 'hold', 'left', 180_000),
    phase(0, 'change', 'none', 15_000),
    phase(0, 'hold', 'right', 180_000),
    phase(1, 'rest', 'none', 90_000),
  ],
  bells: [
    { atMs: 15_000, kind: 'start' },
    { atMs: 195_000, kind: 'switch' },
  ],
  prompts: [{ atMs: 105_000, text: 'Soften the jaw.' }],
};
const { momentAt, after, before, bellsBetween } = leader(LENGTH);

describe('leading through a handout', () => {
  test('knows what is on, how long it still is, and what comes next', () => {
    expect(momentAt(0)).toMatchObject({
      phase: { part: 'in' },
      leftMs: 15_000,
      says: 'Lie down.',
      totalLeftMs: 480_000,
    });
    expect(momentAt(60_000)).toMatchObject({
      phase: { part: 'hold', side: 'left' },
      leftMs: 135_000,
      share: 0.75,
      says: '',
    });
    expect(momentAt(110_000)).toMatchObject({ says: 'Soften the jaw.', next: { side: 'right' } });
    expect(momentAt(300_000)).toMatchObject({ phase: { side: 'right' }, says: '', next: { part: 'rest' } });
    expect(momentAt(479_999)?.next).toBeUndefined();
    expect(momentAt(480_000)).toBeUndefined();
  });

  test('goes on to the other side, then to the next step, then to the end', () => {
    expect(after(60_000)).toBe(195_000);
    expect(after(200_000)).toBe(390_000);
    expect(after(400_000)).toBe(480_000);
  });

  test('goes back to the beginning of the step, or of the one before', () => {
    expect(before(60_000)).toBe(0);
    expect(before(392_000)).toBe(0);
    expect(before(400_000)).toBe(390_000);
  });

  test('rings every bell once', () => {
    expect(bellsBetween(14_000, 15_000).map(({ kind }) => kind)).toEqual(['start']);
    expect(bellsBetween(15_000, 195_000).map(({ kind }) => kind)).toEqual(['switch']);
    expect(bellsBetween(195_000, 480_000)).toEqual([]);
  });
});
