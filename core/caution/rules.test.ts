import { describe, expect, test } from '@jest/globals';
import { POSITIONS, TECHNIQUES } from '#library';
import { countedFrom, daysLater } from '#core/people';
import { planOf } from '../../tests/support/examples';
import { CLASS_DAY, has, someone } from '../../tests/support/people';
import { builtInKnowledge, CONDITIONS, RULES, UNREACHED } from '#library/cautions';
import { breathSeats, BREATH_TRAITS, TRAITS } from '#core/catalogue';
import { breathFrom, holdFrom, type Step } from '#core/plan';
import {
  applies,
  demandsOf,
  MEASURED_TRAITS,
  screen,
  rulesFor,
  screenStep,
  SESSION_DEMANDS,
  worse,
  type ConditionState,
  type Rule,
} from '#core/caution';

const positionIds = new Set(POSITIONS.map(({ id }) => id));
const techniqueIds = new Set(TECHNIQUES.map(({ id }) => id));
const steps: Step[] = [
  ...POSITIONS.flatMap((position) =>
    position.setUps.map(({ items }) => ({
      ...holdFrom(position, Object.keys(position.defaults)[0] as 'yin', position.id),
      setUp: items,
    })),
  ),
  ...TECHNIQUES.flatMap((technique) =>
    breathSeats(POSITIONS).map((seat) => ({
      ...breathFrom(technique, technique.id),
      seat: seat.id,
      setUp: seat.setUps[0]!.items,
    })),
  ),
];
const stepDemands = steps.map((step) => ({ step, asks: demandsOf(step, builtInKnowledge) }));

/** Every way a condition can be that its rules tell apart: in each degree, and about each of their times. */
function statesOf(condition: string): ConditionState[] {
  const { degrees = [] } = CONDITIONS.find(({ id }) => id === condition) ?? {};
  const rules = RULES.filter((rule) => rule.condition === condition);
  const weeks = [...new Set(rules.flatMap((rule) => rule.weeks ?? []))];
  const months = [...new Set(rules.flatMap((rule) => [rule.beforeMonths ?? [], rule.fromMonths ?? []].flat()))];
  const around = (at: number[]): (number | null)[] => [null, ...at.flatMap((one) => [Math.max(0, one - 1), one])];
  return [null, ...degrees.map(({ id }) => id)].flatMap((degree) =>
    around(weeks).flatMap((week) =>
      around(months).map((month) => ({ condition, degree, weeks: week, months: month, stale: null })),
    ),
  );
}

const inShort = ({ condition, degree, weeks, months }: ConditionState): string =>
  [condition, degree, weeks === null ? null : `${weeks} weeks`, months === null ? null : `${months} months`]
    .filter((part) => part !== null)
    .join(', ');

/** A rule where it alone is told of: the state in which it applies. */
const stateOfRule = (rule: Rule): ConditionState => ({
  condition: rule.condition,
  degree: rule.degrees?.[0] ?? null,
  weeks: rule.weeks ? rule.weeks[0] : null,
  months: rule.fromMonths ?? (rule.beforeMonths === undefined ? null : rule.beforeMonths - 1),
  stale: null,
});

describe('the rules that ship', () => {
  test('there are at least thirty conditions, each with its own id, a question and its words', () => {
    expect(CONDITIONS.length).toBeGreaterThanOrEqual(30);
    expect(new Set(CONDITIONS.map(({ id }) => id)).size).toBe(CONDITIONS.length);
    for (const { name, question } of CONDITIONS) expect([name, question.endsWith('?')]).toEqual([name, true]);
  });

  test('each has an id of its own, names what is there, and says why in one sentence', () => {
    const conditions = new Map(CONDITIONS.map((one) => [one.id, one]));
    expect(new Set(RULES.map(({ id }) => id)).size).toBe(RULES.length);
    for (const { id, condition, degrees = [], on, reason, instead, weeks, beforeMonths, fromMonths } of RULES) {
      const known = conditions.get(condition);
      expect([id, known?.id]).toEqual([id, condition]);
      expect([id, degrees.filter((one) => !known?.degrees.some((degree) => degree.id === one))]).toEqual([id, []]);
      if (weeks) expect([id, known?.since]).toEqual([id, 'weeks']);
      if (beforeMonths ?? fromMonths) expect([id, known?.since]).toEqual([id, 'day']);
      if (on.kind === 'position') expect(positionIds).toContain(on.position);
      if (on.kind === 'technique') expect(techniqueIds).toContain(on.technique);
      if (on.kind === 'session') expect(SESSION_DEMANDS).toContain(on.of);
      for (const one of instead.positions ?? []) expect(positionIds).toContain(one);
      for (const one of instead.techniques ?? []) expect(techniqueIds).toContain(one);
      expect([id, /^[A-Z].*\.$/.test(reason), reason.split(/\. /).length]).toEqual([id, true, 1]);
      expect([id, /^[A-Z].*\.$/.test(instead.words)]).toEqual([id, true]);
    }
  });

  test('every condition has at least one, and every degree and time of it that is asked for makes a difference', () => {
    for (const { id, degrees, since } of CONDITIONS) {
      const rules = RULES.filter((rule) => rule.condition === id);
      expect([id, rules.length > 0]).toEqual([id, true]);
      const named = new Set(
        degrees.map((degree) =>
          JSON.stringify(
            rules
              .filter((rule) =>
                applies(rule, { condition: id, degree: degree.id, weeks: null, months: null, stale: null }),
              )
              .map((rule) => rule.id),
          ),
        ),
      );
      expect([id, named.size]).toEqual([id, degrees.length]);
      const timed = rules.some(
        ({ weeks, beforeMonths, fromMonths }) =>
          weeks !== undefined || beforeMonths !== undefined || fromMonths !== undefined,
      );
      if (since === 'weeks' || since === 'day') expect([id, timed]).toEqual([id, true]);
    }
  });

  test('every position and technique is reached by at least one, or says why not', () => {
    const reached = new Set(
      stepDemands
        .filter(
          ({ step, asks }) =>
            screenStep(
              step,
              asks,
              RULES.flatMap((rule) => rulesFor([stateOfRule(rule)], builtInKnowledge)),
            ).level !== null,
        )
        .map(({ step }) => step.id),
    );
    for (const id of [...positionIds, ...techniqueIds]) {
      expect([id, reached.has(id) || (UNREACHED[id] ?? '') !== '']).toEqual([id, true]);
      if (UNREACHED[id] !== undefined) expect([id, reached.has(id)]).toEqual([id, false]);
    }
  });

  test('no demand is without a rule', () => {
    const traits = RULES.flatMap(({ on }) => (on.kind === 'trait' ? [on.trait] : []));
    const ofClass = RULES.flatMap(({ on }) => (on.kind === 'session' ? [on.of] : []));
    expect(traits).toEqual(expect.arrayContaining([...TRAITS, ...BREATH_TRAITS, ...MEASURED_TRAITS]));
    expect(ofClass).toEqual(expect.arrayContaining([...SESSION_DEMANDS]));
  });

  test('every rule on a step fires at something in the library, at its full level, and is silent at something else', () => {
    const wrong: string[] = [];
    for (const rule of RULES) {
      if (rule.on.kind === 'session') continue;
      const active = rulesFor([stateOfRule(rule)], { conditions: CONDITIONS, rules: [rule] });
      const levels = stepDemands.map(({ step, asks }) => screenStep(step, asks, active).level);
      if (!levels.includes(rule.level)) wrong.push(`${rule.id} never fires`);
      if (!levels.includes(null)) wrong.push(`${rule.id} is never silent`);
    }
    expect(wrong).toEqual([]);
  });

  test('every rule on a class fires in a class that demands it, and is silent in one that demands nothing or somebody else comes', () => {
    const position = (id: string, seconds: number): Step => {
      const step = holdFrom(
        POSITIONS.find((one) => one.id === id)!,
        'yin',
        id,
      );
      return { ...step, sides: { kind: 'together', seconds } };
    };
    const technique = (id: string): Step => ({
      ...breathFrom(
        TECHNIQUES.find((one) => one.id === id)!,
        id,
      ),
      seat: 'easy-seat',
    });
    const demanding = [
      position('last-rest', 1200),
      position('prone-rest', 600),
      position('chair-seat', 60),
      { ...technique('belly-strokes'), id: 's1' },
      { ...technique('belly-strokes'), id: 's2' },
      { ...technique('belly-strokes'), id: 's3' },
      ...['h1', 'h2', 'h3', 'h4', 'h5', 'h6'].map((id) => ({ ...technique('hold-full'), id })),
      position('knees-in-rest', 1200),
    ];
    const quiet = [position('chair-seat', 60)];
    const wrong: string[] = [];
    for (const rule of RULES) {
      if (rule.on.kind !== 'session') continue;
      const knowledge = { ...builtInKnowledge, rules: [rule] };
      const { condition, degree, weeks, months } = stateOfRule(rule);
      const since =
        weeks !== null ? countedFrom(weeks, CLASS_DAY) : months !== null ? daysLater(CLASS_DAY, -31 * months) : null;
      const person = someone('A', has(condition, { degree, since }));
      const found = (steps: Step[], who = person) => screen(planOf(...steps), who, knowledge, CLASS_DAY).session;
      if (found(demanding)[0]?.rule !== rule) wrong.push(`${rule.id} never fires`);
      if (rule.on.of !== 'length' && found(quiet).length > 0) wrong.push(`${rule.id} is never silent`);
      if (found([]).length > 0 || found(demanding, someone('B')).length > 0) wrong.push(`${rule.id} is never silent`);
    }
    expect(wrong).toEqual([]);
  });

  test('none recommends what another forbids for the same person, however the condition is', () => {
    const forbidden: string[][] = [];
    for (const { id } of CONDITIONS) {
      for (const state of statesOf(id)) {
        const active = rulesFor([state], builtInKnowledge);
        for (const { rule } of active) {
          const { positions = [], techniques = [] } = rule.instead;
          for (const recommended of [...positions, ...techniques]) {
            const levels = stepDemands
              .filter(({ step }) => step.id === recommended)
              .map(({ step, asks }) => screenStep(step, asks, active).level);
            // In one of its set-ups at least it is not forbidden.
            if (levels.every((level) => level === 'avoid')) forbidden.push([rule.id, inShort(state), recommended]);
          }
        }
      }
    }
    expect(forbidden).toEqual([]);
  });

  test('whoever must change or leave out something has among what is recommended something that screens clean', () => {
    const without: string[][] = [];
    for (const { id } of CONDITIONS) {
      for (const state of statesOf(id)) {
        const active = rulesFor([state], builtInKnowledge);
        for (const { rule } of active.filter(({ rule: { level, on } }) => level !== 'watch' && on.kind !== 'session')) {
          const { positions = [], techniques = [] } = rule.instead;
          // The same without something needs no other position.
          if (positions.length + techniques.length === 0) continue;
          const clean = stepDemands.filter(
            ({ step, asks }) =>
              [...positions, ...techniques].includes(step.id) &&
              ['watch', null].includes(screenStep(step, asks, active).level),
          );
          if (clean.length === 0) without.push([rule.id, inShort(state)]);
        }
      }
    }
    expect(without).toEqual([]);
  });
});

test('what is not known of a condition is taken in the more careful way', () => {
  for (const { id } of CONDITIONS) {
    const unknown = { condition: id, degree: null, weeks: null, months: null, stale: null };
    for (const { step, asks } of stepDemands) {
      const careful = screenStep(step, asks, rulesFor([unknown], builtInKnowledge)).level;
      for (const state of statesOf(id)) {
        const known = screenStep(step, asks, rulesFor([state], builtInKnowledge)).level;
        expect([id, step.id, worse(careful, known)]).toEqual([id, step.id, careful]);
      }
    }
  }
});
