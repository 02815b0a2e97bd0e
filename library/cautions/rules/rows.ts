import type { CautionTrait, Instead, Level, Rule, RuleOn, SessionDemand } from '#core/caution';

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

const onKey = (on: RuleOn): string =>
  on.kind === 'trait'
    ? on.trait
    : on.kind === 'session'
      ? `class-${on.of}`
      : on.kind === 'position'
        ? on.position
        : on.technique;

function rulesOn(on: RuleOn, instead: Instead, rows: readonly Row[]): Rule[] {
  return rows.map(([condition, level, reason, { from, instead: words, ...when } = {}]) => ({
    id: [condition, onKey(on), level, ...(when.degrees ?? []), ...(from === undefined ? [] : [from])].join('.'),
    condition,
    ...when,
    on: from === undefined ? on : { ...on, atLeast: from },
    level,
    reason,
    instead: words === undefined ? instead : { ...instead, words },
  }));
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
