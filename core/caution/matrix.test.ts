import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { builtInKnowledge, CONDITIONS, RULES } from '#library/cautions';
import { demoDecided, demoGroups, demoPeople, DEMO_PLANS } from '#library/demo';
import { restStep } from '#core/plan';
import { anyPerson, CLASS_DAY, has, someone } from '../../tests/support/people';
import {
  classMatrix,
  modifications,
  LEVELS,
  matrixCounts,
  NOTHING_DECIDED,
  openLevel,
  readClassPeople,
  rulesOf,
  screeningQuestions,
  SESSION_STEP,
  remindersAt,
  withInstead,
  withoutDecision,
  withoutPerson,
  withSeen,
  worse,
  type ClassPeople,
  type Level,
} from './index';

const { plan } = DEMO_PLANS[0]!;
const BY = { by: 'Wren', at: '2026-11-25T10:00:00Z' };
const matrixOf = (people: ReturnType<typeof someone>[], decided: ClassPeople = NOTHING_DECIDED) =>
  classMatrix(
    plan,
    people.map((person, i) => ({ id: `p${i}`, person })),
    decided,
    builtInKnowledge,
    CLASS_DAY,
  );
const pressed = someone('Ada', has('high-pressure', { degree: 'uncontrolled' }));
const wall = plan.steps.findIndex((step) => step.kind === 'hold' && step.position === 'legs-up-wall');
const wallId = plan.steps[wall]!.id;

describe('decisions', () => {
  const { cautions } = matrixOf([pressed]).rows[0]!.cells[wall]!;
  const seen = withSeen(NOTHING_DECIDED, {
    personId: 'p0',
    stepId: wallId,
    rules: cautions.map(({ rule }) => rule.id),
    ...BY,
  });

  test('what was seen and left is no longer open, with who and when; opened again it is', () => {
    const cell = matrixOf([pressed], seen).rows[0]!.cells[wall]!;
    expect([cell.level, cell.state, openLevel(cell), cell.by, cell.at]).toEqual(['avoid', 'seen', null, BY.by, BY.at]);
    const again = withoutDecision(seen, { personId: 'p0', stepId: wallId });
    expect(matrixOf([pressed], again)).toEqual(matrixOf([pressed]));
  });

  test('a caution that comes up later is not covered by what was seen before', () => {
    const more = { ...pressed, conditions: [...pressed.conditions, has('clots')] };
    expect(openLevel(matrixOf([more], seen).rows[0]!.cells[wall]!)).toBe('avoid');
    // One that is gone leaves the rest seen.
    expect(matrixOf([someone('Ada')], seen).rows[0]!.cells[wall]).toMatchObject({ level: null, state: 'open' });
  });

  test('what is done instead closes the cell, until a condition comes up that forbids that too', () => {
    const { active } = rulesOf(pressed, builtInKnowledge, CLASS_DAY);
    const [way] = modifications(plan.steps[wall]!, active, builtInKnowledge, { approach: plan.approach });
    const decided = withInstead(seen, { personId: 'p0', stepId: wallId, step: way!.step, ...BY });
    const cell = matrixOf([pressed], decided).rows[0]!.cells[wall]!;
    expect([cell.state, openLevel(cell), cell.step]).toEqual(['instead', null, way!.step]);
    const pregnant = { ...pressed, conditions: [...pressed.conditions, has('pregnancy', { since: '2026-05-01' })] };
    expect(openLevel(matrixOf([pregnant], decided).rows[0]!.cells[wall]!)).toBe('change');
    expect(matrixOf([pressed, pressed], decided).columns[wall]).toEqual({ level: 'avoid', open: 1, instead: 1 });
  });

  test('the later decision stands; of someone who is forgotten nothing is left', () => {
    const twice = withSeen(seen, { ...seen.seen[0]!, by: 'Ada' });
    expect(twice.seen).toHaveLength(1);
    const resting = withInstead(twice, { personId: 'p1', stepId: wallId, step: restStep('r'), ...BY });
    expect(withoutPerson(resting, 'p0')).toEqual({ ...resting, seen: [] });
    expect(withoutPerson(withoutPerson(resting, 'p0'), 'p1')).toEqual(NOTHING_DECIDED);
    expect(readClassPeople(JSON.parse(JSON.stringify(resting)))).toEqual({ ok: true, value: resting });
    const wrong = readClassPeople({ ...resting, seen: [{ ...resting.seen[0], by: ' ', at: 'yesterday' }] });
    expect(wrong.ok ? [] : wrong.issues.map(({ field }) => field)).toEqual(['seen.0.by', 'seen.0.at']);
  });
});

describe('the matrix', () => {
  test('columns are the worst that is open, and counts are what the cells say', () => {
    fc.assert(
      fc.property(fc.array(anyPerson, { maxLength: 5 }), (people) => {
        const matrix = matrixOf(people);
        for (const [i, { level, open, instead }] of matrix.columns.entries()) {
          const cells = matrix.rows.map((row) => row.cells[i]!);
          expect(level).toBe(cells.reduce<Level | null>((worst, cell) => worse(worst, cell.level), null));
          expect([open, instead]).toEqual([cells.filter((cell) => cell.level !== null).length, 0]);
        }
        const all = matrix.rows.flatMap(({ cells, session }) => [...cells, session]);
        expect(matrixCounts(matrix).open).toBe(all.filter((cell) => cell.level !== null).length);
      }),
      { numRuns: 30 },
    );
  });

  test('of nobody it is empty, with a column for each step', () => {
    expect(matrixOf([])).toEqual({ rows: [], columns: plan.steps.map(() => ({ level: null, open: 0, instead: 0 })) });
  });

  test('the demo’s singers are fourteen with eight conditions that are known, and one that is not screened', () => {
    const singers = demoGroups.find(({ id }) => id === 'demo-group-singers')!.group;
    const people = singers.members.map((id) => ({ id, person: demoPeople.find((one) => one.id === id)!.person }));
    const named = people.flatMap(({ person }) => person.conditions.map(({ condition }) => condition));
    const known = new Set(named.filter((one) => CONDITIONS.some(({ id }) => id === one)));
    expect([people.length, known.size]).toEqual([14, 8]);
    const hour = DEMO_PLANS.find(({ id }) => id === 'demo-hour')!.plan;
    const { rows } = classMatrix(hour, people, NOTHING_DECIDED, builtInKnowledge, CLASS_DAY);
    expect(rows.flatMap(({ notScreened }) => notScreened)).toEqual(['a tired thyroid']);
    expect(new Set(rows.flatMap(({ cells }) => cells.map(({ level }) => level)))).toEqual(new Set([...LEVELS, null]));
  });

  test('what the demo has decided is for people and steps that are there, and holds', () => {
    for (const [planId, decided] of demoDecided()) {
      const steps = DEMO_PLANS.find(({ id }) => id === planId)!.plan.steps.map(({ id }) => id);
      expect([decided.seen.length, decided.instead.length]).toEqual([1, 1]);
      for (const { personId, stepId } of [...decided.seen, ...decided.instead]) {
        expect(steps).toContain(stepId);
        expect(demoPeople.map(({ id }) => id)).toContain(personId);
      }
    }
  });
});

describe('while it is led', () => {
  test('what to do is told, what was seen is not, and no condition is named', () => {
    const people = [pressed, someone('Bo', has('low-pressure')), someone('Cy')];
    const rest = plan.steps.length - 2;
    const matrix = matrixOf(people);
    const [ada, bo] = remindersAt(matrix.rows, wall);
    expect(ada).toMatchObject({ personId: 'p0', level: 'avoid', instead: null });
    expect(bo).toMatchObject({ personId: 'p1', level: 'watch' });
    const words = matrix.rows
      .flatMap((_, i) => remindersAt(matrix.rows, i))
      .flatMap((one) => one.words.map(({ text }) => text));
    for (const { name } of CONDITIONS) expect(words.join(' ')).not.toContain(name);
    const instead = withInstead(NOTHING_DECIDED, {
      personId: 'p0',
      stepId: wallId,
      step: restStep(wallId, 'Rest'),
      ...BY,
    });
    expect(remindersAt(matrixOf(people, instead).rows, wall)[0]).toEqual({
      personId: 'p0',
      level: null,
      instead: 'Rest',
      words: [],
    });
    const all = matrix.rows[1]!.session.cautions.map(({ rule }) => rule.id);
    const seen = withSeen(NOTHING_DECIDED, { personId: 'p1', stepId: SESSION_STEP, rules: all, ...BY });
    expect(
      remindersAt(matrixOf(people, seen).rows, rest)
        .filter(({ personId }) => personId === 'p1')
        .map(({ words: lines }) => lines.map(({ text }) => text).join())
        .join(),
    ).not.toContain('wait, stand; a wall');
    expect(remindersAt(matrix.rows, 99)).toEqual([]);
  });
});

describe('the screening form', () => {
  const groups = screeningQuestions(builtInKnowledge);
  const questions = groups.flatMap((group) => group.questions);

  test('asks about every condition a rule uses, once, and about nothing else', () => {
    const used = new Set(RULES.map(({ condition }) => condition));
    expect(questions.map(({ id }) => id).sort()).toEqual([...used].sort());
    expect(groups.every((group) => group.questions.every(({ area }) => area === group.area))).toBe(true);
  });

  test('without its rules a question, its degrees and its time are not asked', () => {
    const without = (keep: (rule: (typeof RULES)[number]) => boolean) =>
      screeningQuestions({ conditions: CONDITIONS, rules: RULES.filter(keep) }).flatMap((group) => group.questions);
    expect(without(({ condition }) => condition !== 'knee').map(({ id }) => id)).not.toContain('knee');
    const plain = without(
      ({ degrees, weeks, beforeMonths, fromMonths }) => !degrees && !weeks && !beforeMonths && !fromMonths,
    );
    expect(plain.every(({ degrees, since }) => degrees.length === 0 && since === 'none')).toBe(true);
    expect(without(() => false)).toEqual([]);
  });
});
