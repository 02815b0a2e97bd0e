import { afterEach, expect, jest, test } from '@jest/globals';
import { effectScope } from 'vue';
import { fakeBrowser } from '../../../../tests/support/browser';
import { useWeeks } from './use-trends';

afterEach(() => void jest.useRealTimers());

// The tests run on the clock of London (jest.config.js).
test('where the clocks change, days still begin and end at midnight', () => {
  jest.useFakeTimers({ now: Date.UTC(2026, 9, 28, 12) });
  fakeBrowser().answer = () => ({ status: 200, body: { practised: [], unreadable: 0 } });
  const scope = effectScope();
  const weeks = scope.run(() => useWeeks())!;
  // Six weeks up to the end of 28 October; they began in summer time, an hour before Greenwich's midnight.
  expect(weeks.range.value).toMatchObject({ fromMs: Date.UTC(2026, 8, 16, 23), untilMs: Date.UTC(2026, 9, 29) });
  // The day on which the clocks go back has 25 hours.
  [weeks.span.value, weeks.fromDay.value, weeks.untilDay.value] = ['own', '2026-10-25', '2026-10-25'];
  expect(weeks.range.value).toMatchObject({ fromMs: Date.UTC(2026, 9, 24, 23), untilMs: Date.UTC(2026, 9, 26) });
  scope.stop();
});
