import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { builtInLibrary, POSITIONS, TECHNIQUES } from '#library';
import { builtInKnowledge, CONDITIONS, RULES } from '#library/cautions';
import { DEMO_PLANS } from '#library/demo';
import { cycleOf, setOf } from '#core/breath';
import { daysLater, personCondition, newPerson } from '#core/people';
import { breathFrom, holdFrom, holdNamed, restStep, type HoldStep, type Step } from '#core/plan';
import { breathStep, planOf, talk } from '../../tests/support/examples';
import { anyPerson, CLASS_DAY, has, someone } from '../../tests/support/people';
import {
  applies,
  demandsOf,
  FROM,
  generalCautions,
  LEVELS,
  rulesOf,
  screen,
  screenGroup,
  screenStep,
  stateInWords,
  stateOn,
  worse,
  type Level,
} from './index';

const hold = (id: string, patch: Partial<HoldStep> = {}): HoldStep => ({
  ...holdFrom(builtInLibrary.position(id)!, 'restorative', id),
  ...patch,
});
const setUpOf = (position: string, setUp: string) =>
  builtInLibrary.position(position)!.setUps.find(({ id }) => id === setUp)!.items;
const levels = (step: Step, ...conditions: Parameters<typeof someone>[1][]): (Level | null)[] =>
  conditions.map((one) => screen(planOf(step), someone('A', one), builtInKnowledge, CLASS_DAY).steps[0]!.level);

describe('what is usually said', () => {
  test.each([
    ['a low head with raised pressure in the eye', hold('hanging-fold'), has('glaucoma'), 'avoid'],
    [
      'the same half-way up, on blocks on a chair',
      hold('chair-half-fold', { setUp: setUpOf('chair-half-fold', 'high') }),
      has('glaucoma'),
      null,
    ],
    [
      'a low head with blood pressure that is under control',
      hold('hanging-fold'),
      has('high-pressure', { degree: 'controlled' }),
      'watch',
    ],
    [
      'legs up the wall, not under control',
      hold('legs-up-wall'),
      has('high-pressure', { degree: 'uncontrolled' }),
      'avoid',
    ],
    [
      'flat on the back at 19 weeks',
      hold('constructive-rest'),
      has('pregnancy', { since: daysLater(CLASS_DAY, -19 * 7) }),
      null,
    ],
    [
      'flat on the back at 20 weeks',
      hold('constructive-rest'),
      has('pregnancy', { since: daysLater(CLASS_DAY, -20 * 7) }),
      'change',
    ],
    [
      'on the left side at 30 weeks',
      hold('side-lying', { sides: { kind: 'one', side: 'left', seconds: 120 } }),
      has('pregnancy', { since: daysLater(CLASS_DAY, -30 * 7) }),
      null,
    ],
    [
      'on the belly at 15 weeks',
      hold('prone-rest'),
      has('pregnancy', { since: daysLater(CLASS_DAY, -15 * 7) }),
      'avoid',
    ],
    ['sitting on the heels with a sore knee', hold('kneeling-seat'), has('knee', { degree: 'sore' }), 'avoid'],
    ['on a chair with a sore knee', hold('chair-seat'), has('knee', { degree: 'sore' }), null],
    ['a fold over long legs with an old disc', hold('seated-fold'), has('disc-low-back', { degree: 'old' }), 'change'],
    ['a new hip, three months', hold('butterfly-fold'), has('hip-replaced', { since: '2026-08-20' }), 'avoid'],
    ['a hip of two years', hold('butterfly-upright'), has('hip-replaced', { since: '2024-05-20' }), 'change'],
    [
      'hands behind the head with a sore shoulder',
      hold('cow-face-arms'),
      has('shoulder', { degree: 'sore' }),
      'change',
    ],
  ] as const)('%s', (_, step, condition, level) => {
    expect(levels(step, condition)).toEqual([level]);
  });

  test('no breath is held in pregnancy, with eyes, heart, stroke or epilepsy; without the hold the same breath is fine', () => {
    const onChair = { seat: 'chair-seat' };
    const withHold = breathStep([setOf('s', [cycleOf([4, 4, 4, 0])], 6)], onChair);
    const without = breathStep([setOf('s', [cycleOf([4, 0, 4, 0])], 6)], onChair);
    for (const condition of ['pregnancy', 'glaucoma', 'heart', 'stroke', 'epilepsy', 'copd', 'panic']) {
      expect([condition, ...levels(withHold, has(condition)), ...levels(without, has(condition))]).toEqual([
        condition,
        'avoid',
        null,
      ]);
    }
  });

  test('locks, strokes and nostrils are read from the practice, whatever the technique is called', () => {
    const strokes = breathFrom(builtInLibrary.technique('belly-strokes')!, 'a');
    expect(levels({ ...strokes, technique: 'unknown' }, has('hernia-belly'), has('reflux'), has('cold'))).toEqual([
      'avoid',
      'avoid',
      'change',
    ]);
    const chin = breathStep([setOf('s', [{ ...cycleOf([4, 4, 4, 0]), locks: ['chin'] }], 3)]);
    expect(levels(chin, has('neck'))).toEqual(['avoid']);
    const oneNostril = breathStep([setOf('s', [{ ...cycleOf([4, 0, 4, 0]), inThrough: 'left' as const }], 3)]);
    expect(levels(oneNostril, has('cold'))).toEqual(['change']);
  });

  test('how much was measured is told: centimetres, degrees, seconds', () => {
    const measured = (step: Step, condition: string) =>
      screen(planOf(step), someone('A', has(condition)), builtInKnowledge, CLASS_DAY).steps[0]!.cautions.map(
        (one) => one.measured,
      );
    expect(measured(hold('hanging-fold'), 'glaucoma')).toContain('27 cm');
    expect(measured(hold('kneeling-seat'), 'knee')[0]).toMatch(/^1\d\d°$/);
    expect(measured(hold('calves-on-chair', { sides: { kind: 'together', seconds: 600 } }), 'varicose')).toEqual([
      '10:00',
    ]);
  });

  test('a set-up that is none of the known ones is taken as the most that any of them asks', () => {
    const own = hold('chair-half-fold', { setUp: [] });
    expect(levels(own, has('glaucoma'))).toEqual(['avoid']);
    // A row that is only there if wanted, or has another reason, changes nothing.
    const high = setUpOf('chair-half-fold', 'high').map((row) => ({ ...row, why: 'so that it is enough' }));
    expect(levels(hold('chair-half-fold', { setUp: high }), has('glaucoma'))).toEqual([null]);
  });

  test('stages bring their own set-ups with them, and a breath inside a hold its holding', () => {
    const stage = {
      id: 's',
      name: 'down',
      length: { kind: 'share' as const, weight: 1 },
      breathSeconds: null,
      position: null,
      setUp: setUpOf('chair-half-fold', 'chair'),
    };
    const high = hold('chair-half-fold', { setUp: setUpOf('chair-half-fold', 'high') });
    expect(levels({ ...high, stages: [stage] }, has('glaucoma'))).toEqual(['avoid']);
    const technique = builtInLibrary.technique('hold-full')!;
    const breath = {
      technique: technique.id,
      name: 'Hold',
      practice: technique.practice,
      settleSeconds: 30,
      fill: true,
    };
    expect(levels({ ...hold('chair-seat'), breath }, has('heart'))).toEqual(['avoid']);
  });
});

describe('screening', () => {
  test('what nobody knows of here is kept and told as not screened; it screens nothing', () => {
    const person = someone(
      'A',
      { ...personCondition('x', 'in-words', 'A tired spleen') },
      personCondition('y', 'moon-sickness'),
    );
    const { notScreened, steps, session } = screen(DEMO_PLANS[1]!.plan, person, builtInKnowledge, CLASS_DAY);
    expect(notScreened).toEqual(['A tired spleen', 'moon-sickness']);
    expect([steps.every(({ level }) => level === null), session]).toEqual([true, []]);
  });

  test('steps of one’s own, rests and talk say nothing, but a long hold of anything does', () => {
    const person = someone('A', has('clots'));
    const plan = planOf(talk('t', 60), restStep('r'), holdNamed('Own', 'o'), {
      ...holdNamed('Own', 'p'),
      sides: { kind: 'together', seconds: 480 },
    });
    expect(screen(plan, person, builtInKnowledge, CLASS_DAY).steps.map(({ level }) => level)).toEqual([
      null,
      null,
      null,
      'watch',
    ]);
  });

  const anyPlan = fc.constantFrom(...DEMO_PLANS).map(({ plan }) => plan);

  test('of a group everyone is screened as if alone, in the order given', () => {
    fc.assert(
      fc.property(anyPlan, fc.array(anyPerson, { maxLength: 4 }), (plan, people) => {
        const group = people.map((person, i) => ({ id: `p${i}`, person }));
        const all = screenGroup(plan, group, builtInKnowledge, CLASS_DAY);
        expect(all.map(({ personId }) => personId)).toEqual(group.map(({ id }) => id));
        for (const [i, { screening }] of all.entries())
          expect(screening).toEqual(screen(plan, people[i]!, builtInKnowledge, CLASS_DAY));
      }),
      { numRuns: 30 },
    );
  });

  test('another condition never makes a step less careful, and every caution belongs to a condition the person has', () => {
    fc.assert(
      fc.property(anyPlan, anyPerson, anyPerson, (plan, one, other) => {
        const both = { ...one, conditions: [...one.conditions, ...other.conditions] };
        const [alone, together] = [one, both].map((person) => screen(plan, person, builtInKnowledge, CLASS_DAY));
        // What is watched at several steps is said once, for the class.
        const levelAt = ({ steps, session }: NonNullable<typeof alone>, at: number): Level | null =>
          session
            .filter((line) => line.steps.includes(at))
            .reduce<Level | null>((worst, { level }) => worse(worst, level), steps[at]!.level);
        for (const [i, step] of together!.steps.entries()) {
          expect(worse(levelAt(together!, i), levelAt(alone!, i))).toBe(levelAt(together!, i));
          expect(step.level).toBe(step.cautions.reduce<Level | null>((worst, { level }) => worse(worst, level), null));
          for (const { condition } of step.cautions)
            expect(both.conditions.map((stored) => stored.condition)).toContain(condition.id);
        }
      }),
      { numRuns: 60 },
    );
  });

  test('the same as asking every rule one by one', () => {
    fc.assert(
      fc.property(anyPerson, (person) => {
        const steps: Step[] = [
          ...POSITIONS.slice(0, 77).map((one) => holdFrom(one, 'yin', one.id)),
          ...TECHNIQUES.map((one) => breathFrom(one, one.id)),
        ];
        const { active } = rulesOf(person, builtInKnowledge, CLASS_DAY);
        for (const step of steps) {
          const asks = demandsOf(step, builtInKnowledge);
          let worst: Level | null = null;
          for (const stored of person.conditions) {
            const state = stateOn(
              stored,
              CONDITIONS.find(({ id }) => id === stored.condition)!,
              CLASS_DAY,
            );
            for (const rule of RULES.filter((one) => applies(one, state))) {
              const { on } = rule;
              const speaks =
                (on.kind === 'trait' && asks.has(on.trait) && asks.get(on.trait)! >= (on.atLeast ?? 0)) ||
                (on.kind === 'position' && on.position === step.id) ||
                (on.kind === 'technique' && on.technique === step.id);
              if (!speaks) continue;
              // As careful as the rule says, or less where there is less of it.
              const from: Partial<Record<Level, number>> | undefined =
                on.kind === 'trait' && on.atLeast === undefined && on.trait in FROM
                  ? FROM[on.trait as keyof typeof FROM]
                  : undefined;
              const amount = on.kind === 'trait' ? asks.get(on.trait)! : 0;
              if (!from) worst = worse(worst, rule.level);
              for (const level of LEVELS) {
                if (from && level !== rule.level && amount >= from[level]! && worse(level, rule.level) === rule.level)
                  worst = worse(worst, level);
                if (from && level === rule.level && amount >= from[level]!) worst = worse(worst, level);
              }
            }
          }
          expect([step.id, screenStep(step, asks, active).level]).toEqual([step.id, worst]);
        }
      }),
      { numRuns: 40 },
    );
  });
});

describe('the class as a whole', () => {
  const session = (plan: Parameters<typeof screen>[0], condition: string) =>
    screen(plan, someone('A', has(condition)), builtInKnowledge, CLASS_DAY).session.map(({ rule, measured, steps }) => [
      rule.on.kind === 'session' && rule.on.of,
      measured,
      steps,
    ]);
  const noRest = { rebound: { kind: 'none' as const } };
  const long = {
    sides: { kind: 'together' as const, seconds: 600 },
    setupSeconds: 0,
    enterSeconds: 0,
    leaveSeconds: 0,
  };

  test('long flat rest goes on through a rest that follows, and ends with another position', () => {
    const plan = planOf(
      hold('constructive-rest', { ...long }),
      restStep('r', 'Rest', 60),
      hold('chair-seat'),
      hold('last-rest', { ...long }),
    );
    expect(session(plan, 'reflux')).toContainEqual(['flatRest', '11:00', [0, 1]]);
  });

  test('getting up is told where it is: after lying, before sitting or standing, and at the end', () => {
    const plan = planOf(
      hold('chair-seat'),
      hold('constructive-rest', { ...long }),
      hold('straight-seat'),
      hold('last-rest', { ...long }),
    );
    expect(session(plan, 'low-pressure')).toContainEqual(['gettingUp', '2 times', [2, 3]]);
    expect(session(planOf(hold('chair-seat')), 'low-pressure')).toEqual([]);
  });

  test('strokes, holding and time face down are added up', () => {
    const strokes = breathFrom(builtInLibrary.technique('belly-strokes')!, 'a');
    const counted = demandsOf(strokes, builtInKnowledge).get('strokes')!;
    expect(session(planOf(strokes, { ...strokes, id: 'b' }), 'migraine')).toContainEqual([
      'strokes',
      `${2 * counted} pumps`,
      [0, 1],
    ]);
    expect(session(planOf(breathStep([setOf('s', [cycleOf([4, 4, 4, 0])], 40)])), 'migraine')).toContainEqual([
      'retention',
      '2:40',
      [0],
    ]);
    const prone = planOf(hold('prone-rest', { ...long, ...noRest }), hold('sphinx', { ...long, ...noRest, id: 'b' }));
    expect(session(prone, 'neck')).toContainEqual(['prone', '20:00', [0, 1]]);
  });
});

describe('without a group', () => {
  test('general cautions name each condition once, the most careful first, and never one that has no rule for the step', () => {
    for (const position of POSITIONS) {
      const step = holdFrom(position, 'yin', 'a');
      const general = generalCautions(step, builtInKnowledge);
      expect(new Set(general.map(({ condition }) => condition.id)).size).toBe(general.length);
      const order = general.map(({ level }) => LEVELS.indexOf(level));
      expect(order).toEqual([...order].sort((a, b) => b - a));
      for (const { condition, level } of general) expect(levels(step, has(condition.id))).toEqual([level]);
    }
  });
});

test('a date that cannot be right any more is said to be stale, and screened as one that is not known', () => {
  const lying = holdFrom(
    POSITIONS.find(({ traits }) => traits.includes('flatSupine'))!,
    'restorative',
    'flat',
  );
  const screened = (since: string | null) =>
    screen(planOf(lying), { conditions: [has('pregnancy', { since })] }, builtInKnowledge, CLASS_DAY);
  const unknown = screened(null);
  expect(unknown.stale).toEqual([]);
  expect(unknown.steps[0]!.level).not.toBeNull();
  for (const weeks of [-40, -1, 43, 99, 150, 400]) {
    const stale = screened(daysLater(CLASS_DAY, -7 * weeks));
    expect([weeks, stale.steps]).toEqual([weeks, unknown.steps]);
    expect([weeks, stale.stale.join()]).toEqual([weeks, expect.stringContaining('ask again')]);
  }
  expect(screened(daysLater(CLASS_DAY, -7 * 30)).stale).toEqual([]);
  expect(screened(daysLater(CLASS_DAY, -7 * 150)).stale).toEqual([
    'Pregnancy, 150 weeks by the recorded date: ask again',
  ]);
  const ahead = screen(
    planOf(lying),
    { conditions: [has('stroke', { since: daysLater(CLASS_DAY, 3) })] },
    builtInKnowledge,
    CLASS_DAY,
  );
  expect(ahead.stale).toEqual(['A stroke or mini-stroke, with a date in the future: ask again']);
});

test('conditions in words, as they are on the day', () => {
  const named = (id: string, patch: Parameters<typeof has>[1]) => {
    const known = CONDITIONS.find((one) => one.id === id)!;
    return stateInWords(stateOn(has(id, patch), known, CLASS_DAY), known);
  };
  expect(named('pregnancy', { since: daysLater(CLASS_DAY, -23 * 7 - 3) })).toBe(
    'Pregnancy, 23 weeks, second trimester',
  );
  expect(named('knee-replaced', { since: '2026-07-20' })).toBe('A replaced knee, 4 months ago');
  expect(named('stroke', { since: '2026-10-20' })).toBe('A stroke or mini-stroke, 1 month ago');
  expect(named('stroke', { since: '2020-10-20' })).toBe('A stroke or mini-stroke, 6 years ago');
  expect(named('eye-operation', { since: CLASS_DAY })).toBe('An operation on an eye, less than a month ago');
  expect(named('knee', { degree: 'sore' })).toBe('A sore or injured knee, sore, swollen or healing now');
  expect(named('knee', { degree: 'gone' })).toBe('A sore or injured knee');
  expect(newPerson('A').conditions).toEqual([]);
});

test('a stage in another position is screened as that position, and so is the first, where it is another from the start', () => {
  const stage = (id: string, position: string | null) => ({
    id,
    name: id,
    length: { kind: 'share' as const, weight: 1 },
    breathSeconds: null,
    position,
    setUp: position === null ? null : builtInLibrary.position(position)!.setUps[0]!.items,
  });
  const seat = holdFrom(builtInLibrary.position('chair-seat')!, 'restorative', 'a');
  const lies = (...stages: ReturnType<typeof stage>[]) => demandsOf({ ...seat, stages }, builtInKnowledge).has('prone');
  expect(lies(stage('one', null), stage('two', 'chair-seat'))).toBe(false);
  expect(lies(stage('one', null), stage('two', 'prone-rest'))).toBe(true);
  // What comes after it keeps its position.
  expect(lies(stage('one', 'prone-rest'), stage('two', null))).toBe(true);
  // Nobody is on the chair where the first stage is elsewhere already.
  const back = { ...holdFrom(builtInLibrary.position('prone-rest')!, 'restorative', 'b') };
  const elsewhere = demandsOf({ ...back, stages: [stage('one', 'chair-seat')] }, builtInKnowledge);
  expect(elsewhere.has('prone')).toBe(false);
});
