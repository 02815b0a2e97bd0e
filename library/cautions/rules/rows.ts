import {
  LEVELS,
  type CautionTrait,
  type Instead,
  type Level,
  type Rule,
  type RuleOn,
  type SessionDemand,
} from '#core/caution';
import { CONDITIONS } from '../conditions';

/**
 * A condition, how careful to be, and why; where it makes a difference, in which degree or time, and what else to do.
 */
export type Row = readonly [condition: string, level: Level, reason: string, more?: RowMore];
interface RowMore extends Pick<Rule, 'degrees' | 'weeks' | 'beforeMonths' | 'fromMonths' | 'once'> {
  /** From how much on, where that is another than for the others. */
  from?: number;
  /** What to do instead, in words, where that is another than for the others. */
  instead?: string;
}

/**
 * The degree in which a condition is quiet, healed or seldom: each of its rules that makes no difference between degrees
 * says one level less then, and what was only to be watched nothing.
 */
const QUIET: Readonly<Record<string, string>> = {
  vertigo: 'past',
  'hernia-belly': 'repaired',
  'disc-neck': 'old',
  neck: 'old',
  wrist: 'old',
  ankle: 'old',
  sciatica: 'past',
  reflux: 'seldom',
  panic: 'past',
};

/** The rule of a condition for each of its degrees, where it has a quiet one. */
function byDegree(rule: Rule): Rule[] {
  const quiet = QUIET[rule.condition];
  if (quiet === undefined || rule.degrees) return [rule];
  const others = CONDITIONS.find(({ id }) => id === rule.condition)?.degrees.filter(({ id }) => id !== quiet) ?? [];
  const troubled = { ...rule, degrees: others.map(({ id }) => id) };
  const level = LEVELS[LEVELS.indexOf(rule.level) - 1];
  return level ? [troubled, { ...rule, id: `${rule.id}.${quiet}`, level, degrees: [quiet] }] : [troubled];
}

const onKey = (on: RuleOn): string =>
  on.kind === 'trait'
    ? on.trait
    : on.kind === 'session'
      ? `class-${on.of}`
      : on.kind === 'position'
        ? on.position
        : on.technique;

function rulesOn(on: RuleOn, instead: Instead, rows: readonly Row[]): Rule[] {
  return rows.flatMap(([condition, level, reason, { from, instead: words, ...when } = {}]) => {
    const rule: Rule = {
      id: [condition, onKey(on), level, ...(when.degrees ?? []), ...(from === undefined ? [] : [from])].join('.'),
      condition,
      ...when,
      on: from !== undefined && (on.kind === 'trait' || on.kind === 'session') ? { ...on, atLeast: from } : on,
      level,
      reason,
      instead: words === undefined ? instead : { ...instead, words },
    };
    return byDegree(rule);
  });
}

/** Rules on what a step asks of a body. `atLeast` in the unit of the trait. */
export const onTrait = (trait: CautionTrait, instead: Instead, ...rows: Row[]): Rule[] =>
  rulesOn({ kind: 'trait', trait }, instead, rows);
/** Rules of one position, beyond what it asks. */
export const onPosition = (position: string, instead: Instead, ...rows: Row[]): Rule[] =>
  rulesOn({ kind: 'position', position }, instead, rows);
/** Rules of one technique, beyond what it asks. */
export const onTechnique = (technique: string, instead: Instead, ...rows: Row[]): Rule[] =>
  rulesOn({ kind: 'technique', technique }, instead, rows);
/** Rules on a class as a whole. */
export const onSession = (of: SessionDemand, instead: Instead, ...rows: Row[]): Rule[] =>
  rulesOn({ kind: 'session', of }, instead, rows);
