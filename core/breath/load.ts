import { clockOfMs } from '#core/time';
import { breathCost } from './cost';
import type { BreathPractice } from './practice';

/** Limits of the house rules on what a practice asks. Seconds, a share from 0 to 1, breaths a minute. */
export interface BreathLoadRules {
  longestHoldSeconds: number;
  shareHolding: number;
  slowestRate: number;
}

/** What a mixed class that has not been asked about its health is usually spared. */
export const LOAD_RULES: BreathLoadRules = { longestHoldSeconds: 20, shareHolding: 0.5, slowestRate: 2.5 };

/** What a practice asks more of than the house rules allow, in words a colleague would use. */
export interface LoadFlag {
  kind: 'longHold' | 'muchHolding' | 'verySlow' | 'emptyLongerThanFull' | 'retention';
  message: string;
}

/**
 * What is worth a second look before a practice is taught: holds that are long or much of the time, a very slow breath,
 * an empty hold longer than the full one, and any retention in a group whose health is not known (`checked` false).
 */
export function loadFlags(practice: BreathPractice, checked: boolean, rules: BreathLoadRules = LOAD_RULES): LoadFlag[] {
  const cost = breathCost(practice);
  const flags: LoadFlag[] = [];
  if (cost.retentionMs > 0 && !checked) {
    flags.push({
      kind: 'retention',
      message: 'Breath is held here, and nobody has been asked about pregnancy, blood pressure, heart or eyes.',
    });
  }
  if (cost.longestRetentionMs > rules.longestHoldSeconds * 1000) {
    flags.push({
      kind: 'longHold',
      message: `The longest hold is ${clockOfMs(cost.longestRetentionMs)}; the house rule is ${clockOfMs(rules.longestHoldSeconds * 1000)}.`,
    });
  }
  if (cost.retentionShare > rules.shareHolding) {
    const percent = Math.round(cost.retentionShare * 100);
    flags.push({
      kind: 'muchHolding',
      message: `${percent} % of the time is holding; the house rule is ${Math.round(rules.shareHolding * 100)} %.`,
    });
  }
  if (cost.slowestRate < rules.slowestRate) {
    const rate = Math.round(cost.slowestRate * 100) / 100;
    flags.push({
      kind: 'verySlow',
      message: `The slowest breath is ${rate} a minute; the house rule is ${rules.slowestRate}.`,
    });
  }
  const emptyLonger = practice.sets.some(({ parts }) =>
    parts.some((part) => part.kind === 'cycle' && part.holdEmpty > part.holdFull),
  );
  if (emptyLonger) {
    flags.push({ kind: 'emptyLongerThanFull', message: 'An empty hold is longer than the full one.' });
  }
  return flags;
}
