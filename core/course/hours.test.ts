import { describe, expect, test } from '@jest/globals';
import { sixTuesdays } from '../../tests/support/course';
import { daysOfSessions, hoursLog } from './hours';
import { withMissed } from './edit-course';

const weekend = (at: string[]) => sixTuesdays({ unit: 'session', weeks: 4, dates: { kind: 'given', at } });

describe('the log of hours', () => {
  test('has each session with its end and the break before the next of its day', () => {
    const at = ['2026-11-28T10:00', '2026-11-28T14:00', '2026-11-29T10:00', '2026-11-29T10:30'];
    // Forty minutes each.
    expect(hoursLog(weekend(at))).toEqual([
      { week: 1, day: '2026-11-28', from: '10:00', until: '10:40', seconds: 2400, breakSeconds: 12_000 },
      { week: 2, day: '2026-11-28', from: '14:00', until: '14:40', seconds: 2400, breakSeconds: null },
      { week: 3, day: '2026-11-29', from: '10:00', until: '10:40', seconds: 2400, breakSeconds: -600 },
      { week: 4, day: '2026-11-29', from: '10:30', until: '11:10', seconds: 2400, breakSeconds: null },
    ]);
  });
  test('leaves out what was missed and what has no date, and ends after midnight where a class does', () => {
    const late = weekend(['2026-11-28T23:40', '2026-11-29T10:00']);
    expect(hoursLog(withMissed(late, 2, { how: 'drop', why: '' }))).toEqual([
      { week: 1, day: '2026-11-28', from: '23:40', until: '00:20', seconds: 2400, breakSeconds: null },
    ]);
    expect(hoursLog(sixTuesdays({ dates: { kind: 'none' } }))).toEqual([]);
  });
  test('sessions on days that follow each other, over the end of a month', () => {
    expect(daysOfSessions('2026-11-30', 2, ['10:00', '14:00'])).toEqual([
      '2026-11-30T10:00',
      '2026-11-30T14:00',
      '2026-12-01T10:00',
      '2026-12-01T14:00',
    ]);
  });
});
