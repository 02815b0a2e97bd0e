import { describe, expect, test } from '@jest/globals';
import { cycleOf, setOf, type BreathPractice } from '#core/breath';
import { countedFrom } from '#core/people';
import { breathFrom, holdFrom, holdNamed, restStep, type HoldStep, type Step } from '#core/plan';
import { rowFor } from '#core/props';
import { builtInLibrary, POSITIONS } from '#library';
import { builtInKnowledge } from '#library/cautions';
import { breathStep, planOf } from '../../tests/support/examples';
import { CLASS_DAY, has, someone } from '../../tests/support/people';
import {
  answersOfDemands,
  demandsOf,
  demandsOfAnswers,
  isUnscreened,
  LYING_HOW,
  modifications,
  NOTHING_DECIDED,
  peopleOn,
  readClassPeople,
  rulesOf,
  screen,
  stageLines,
  WEIGHT_ON,
  wholeCaution,
  withGuest,
  withoutPerson,
  withCheckIn,
  type Level,
} from './index';

const position = (id: string) => builtInLibrary.position(id)!;
const hold = (id: string, patch: Partial<HoldStep> = {}): HoldStep => ({
  ...holdFrom(position(id), 'restorative', id),
  ...patch,
});
const named = (id: string, setUp: string): HoldStep =>
  hold(id, { setUp: position(id).setUps.find((one) => one.id === setUp)!.items });
type Kept = ReturnType<typeof has>;
const pregnant = (weeks: number): Kept => has('pregnancy', { since: countedFrom(weeks, CLASS_DAY) });
const screened = (step: Step, ...conditions: Kept[]) =>
  screen(planOf(step), someone('A', ...conditions), builtInKnowledge, CLASS_DAY);
const level = (step: Step, ...conditions: Kept[]): Level | null => screened(step, ...conditions).steps[0]!.level;
const reasons = (step: Step, ...conditions: Kept[]): string =>
  screened(step, ...conditions)
    .steps[0]!.cautions.flatMap(wholeCaution)
    .map(({ rule }) => rule.reason)
    .join(' ');
const breath = (id: string, seat: string): Step => ({
  ...breathFrom(builtInLibrary.technique(id)!, id),
  seat,
  setUp: position(seat).setUps[0]!.items,
});
const waysFor = (step: Step, ...conditions: Kept[]) =>
  modifications(step, rulesOf(someone('A', ...conditions), builtInKnowledge, CLASS_DAY).active, builtInKnowledge, {
    approach: 'restorative',
  });

describe('the seat of a breath', () => {
  test('lying flat is flat at 31 weeks, a chair is not', () => {
    expect(level(breath('long-out-breath', 'last-rest'), pregnant(31))).toBe('change');
    expect(level(breath('long-out-breath', 'chair-seat'), pregnant(31))).toBeNull();
  });

  test('minutes cross-legged or on the heels are not for a replaced knee; on a chair they are', () => {
    const knee = has('knee-replaced', { since: '2025-01-10' });
    expect(level(breath('equal-breath', 'easy-seat'), knee)).toBe('avoid');
    expect(level(breath('equal-breath', 'kneeling-seat'), knee)).toBe('avoid');
    expect(level(breath('equal-breath', 'chair-seat'), knee)).toBeNull();
    const seats = waysFor(breath('equal-breath', 'easy-seat'), knee).map(({ step }) => 'seat' in step && step.seat);
    expect(seats).toContain('chair-seat');
  });

  test('until somebody says, what fits counts: the more careful', () => {
    const unsaid = { ...breathFrom(builtInLibrary.technique('equal-breath')!, 'a'), setUp: [] };
    expect(level(unsaid, pregnant(31))).toBe('change');
    expect(level(unsaid, has('knee-replaced'))).toBe('avoid');
  });
});

describe('flat on the back', () => {
  test('is a trunk under about 30° from the floor: one flat bolster is flat, a steep slope is not', () => {
    expect(level(named('reclined-bound-angle', 'full'), pregnant(24))).toBe('change');
    expect(level(named('propped-rest', 'slope'), pregnant(24))).toBe('change');
    const steep = { ...named('propped-rest', 'steep'), sides: { kind: 'together' as const, seconds: 120 } };
    expect(level(steep, pregnant(24))).toBeNull();
    expect(level(steep, has('reflux'))).toBeNull();
  });

  test('the steep slope or the side is offered first, and never a chair for a lying rest', () => {
    for (const condition of [pregnant(30), has('reflux'), has('hernia-hiatal')]) {
      const KNEES_UP_ON_A_SLOPE = /^Rest with the knees supported: .*chest and head on a slope$/;
      for (const [rest, slope] of [
        ['last-rest', /^Last rest, propped up: steep slope on two blocks$/],
        ['knees-in-rest', KNEES_UP_ON_A_SLOPE],
        // What the entry itself names as easier, on the slope.
        ['calves-on-chair', KNEES_UP_ON_A_SLOPE],
      ] as const) {
        const ways = waysFor(hold(rest), condition);
        expect(ways[0]?.words).toMatch(slope);
        expect(ways.map(({ words }) => words)).toContainEqual(expect.stringMatching(/^Side lying/));
        expect(ways.map(({ step }) => step.kind === 'hold' && step.position)).not.toContain('chair-seat');
      }
    }
  });
});

describe('thin bones', () => {
  const fractured = has('osteoporosis', { degree: 'fractured' });
  const thin = has('osteoporosis', { degree: 'thin' });
  test('all rounding is told, loaded or not: a fold on a chair, knees to the chest, child’s poses, happy baby, sleeping swan', () => {
    for (const id of ['chair-fold', 'knees-to-chest', 'child-narrow', 'child-wide', 'happy-baby', 'sleeping-swan']) {
      expect([id, ['change', 'avoid']]).toEqual([id, expect.arrayContaining([level(hold(id), fractured)])]);
    }
    for (const id of ['chair-fold', 'child-narrow', 'sleeping-swan']) {
      expect([id, level(hold(id), thin)]).toEqual([id, 'change']);
    }
    expect(level(hold('seated-fold'), thin)).toBe('avoid');
  });

  test('a supported arch is to be watched only; with a bone that has broken it is changed', () => {
    for (const id of ['fish-over-blankets', 'reclined-kneeling'])
      expect([id, level(hold(id), thin)]).toEqual([id, 'watch']);
    expect(level(hold('seal'), fractured)).toBe('change');
    expect(level(hold('propped-rest'), thin)).toBeNull();
  });

  test('turning under weight is more than turning lying down', () => {
    expect(level(hold('seated-twist'), fractured)).toBe('avoid');
    expect(level(hold('seated-twist'), thin)).toBe('change');
    expect(level(hold('half-lying-twist'), thin)).toBe('watch');
  });
});

describe('what is seen by measuring', () => {
  const sandbag = hold('knees-in-rest', {
    setUp: [...hold('knees-in-rest').setUp, rowFor('sandbag', 'onBelly', 'centre', 's')],
  });
  test('weight on the belly, covered eyes, straps', () => {
    expect(level(sandbag, has('operation-belly', { since: '2026-11-05' }))).toBe('avoid');
    expect(level(sandbag, pregnant(10))).toBe('avoid');
    const [without] = waysFor(sandbag, has('hernia-belly'));
    expect(without?.words).toBe('Rest with the knees supported, without the sandbag');
    const covered = hold('knees-in-rest', { setUp: [rowFor('eyePillow', 'eyes', 'centre', 'e')] });
    expect(level(covered, has('glaucoma', { degree: 'treated' }))).toBe('change');
    expect(reasons(named('constructive-rest', 'strap'), has('trauma'))).toContain('held');
  });

  test('a scarf over the eyes ties nobody; a strap closed to a loop round the feet does', () => {
    const lying = (...setUp: ReturnType<typeof rowFor>[]) => hold('knees-in-rest', { setUp });
    expect(reasons(lying(rowFor('scarf', 'eyes', 'centre', 's')), has('trauma'))).not.toContain('held');
    const strap = rowFor('strap', 'feet', 'centre', 's');
    expect(reasons(lying(strap), has('trauma'))).not.toContain('held');
    expect(reasons(lying({ ...strap, state: 'loop' }), has('trauma'))).toContain('held');
  });

  test('a weighted blanket over the body lies on the belly too', () => {
    const covered = hold('last-rest', { setUp: [rowFor('weightedBlanket', 'cover', 'centre', 'w')] });
    expect(level(covered, pregnant(10))).toBe('avoid');
    expect(waysFor(covered, pregnant(10))[0]?.words).toContain('without the weighted blanket');
  });

  test('a hip that goes behind the body, and one that folds: by the way it was operated', () => {
    const [front, back] = ['front', 'back'].map((degree) => has('hip-replaced', { degree, since: '2026-09-20' }));
    expect(level(hold('prone-thigh-strap', { setUp: named('prone-thigh-strap', 'knee').setUp }), front!)).toBe('watch');
    expect(level(hold('lunge-hands-inside'), front!)).toBe('avoid');
    expect(reasons(hold('knees-to-chest'), back!)).toContain('dislocate');
    expect(reasons(hold('knees-to-chest'), front!)).not.toContain('dislocate');
  });

  test('shoulders under load, legs wide open, the face to the floor, standing still', () => {
    expect(level(hold('crossed-arms-prone'), has('shoulder', { degree: 'sore' }))).toBe('change');
    expect(reasons(hold('wide-legs-at-wall'), has('trauma'))).toContain('exposed');
    expect(reasons(hold('prone-rest'), has('trauma'))).toContain('behind you');
    const long = hold('hanging-fold', { sides: { kind: 'together', seconds: 120 } });
    expect(reasons(long, has('low-pressure'))).toContain('Standing still');
  });

  test('knees that bear nothing are a refuge', () => {
    for (const condition of ['knee', 'knee-replaced', 'arthritis']) {
      expect([condition, level(hold('constructive-rest'), has(condition))]).toEqual([condition, null]);
    }
    expect(level(hold('kneeling-seat'), has('knee', { degree: 'sore' }))).toBe('avoid');
  });

  test('legs above the heart only where they are: not in a bridge with the feet on the floor', () => {
    const unsettled = has('heart', { degree: 'unsteady' });
    expect(reasons(hold('legs-up-wall'), unsettled)).toContain('flows back');
    for (const id of ['bridge-on-block', 'bridge-on-bolster'])
      expect(demandsOf(hold(id), builtInKnowledge).has('inversion')).toBe(false);
    expect(level(hold('bridge-on-block'), has('low-mood'))).toBeNull();
  });
});

describe('levels without cliffs', () => {
  test('of every measured demand less is never more careful, and from watch to avoid every level has its room', () => {
    const glaucoma = has('glaucoma', { degree: 'unsettled' });
    const { active } = rulesOf(someone('A', glaucoma), builtInKnowledge, CLASS_DAY);
    const at = (cm: number): Level | null => {
      const step = hold('chair-fold');
      return screenStepAt(step, cm, active);
    };
    expect([5, 6, 7, 9, 10, 30].map(at)).toEqual([null, 'watch', 'change', 'change', 'avoid', 'avoid']);
  });

  test('a way out is better by a margin: none of them is where it has to be watched for the same thing', () => {
    for (const { id } of POSITIONS) {
      for (const { step, words } of waysFor(hold(id), has('glaucoma', { degree: 'unsettled' }))) {
        const [measured] =
          step.kind === 'hold' ? builtInKnowledge.strains(position(step.position), step.setUp) : [undefined];
        // Seven centimetres are to be changed.
        expect([words, (measured?.headBelowHeartCm ?? 0) <= 4]).toEqual([words, true]);
      }
    }
  });
});

describe('holding the breath', () => {
  const held = (full: number, empty: number): Step =>
    breathStep([setOf('s', [cycleOf([4, full, 6, empty])], 6)] satisfies BreathPractice['sets'], {
      seat: 'chair-seat',
    });
  test('from about four seconds; two after the out-breath are a pause', () => {
    for (const condition of ['glaucoma', 'heart', 'pregnancy', 'stroke']) {
      expect([condition, level(held(0, 2), has(condition))]).toEqual([condition, null]);
      expect([condition, level(held(0, 3), has(condition))]).toEqual([condition, 'watch']);
      expect([condition, level(held(4, 0), has(condition))]).toEqual([condition, 'avoid']);
    }
  });

  test('a technique that is fast is fast, whatever its count', () => {
    const bellows = breathFrom(builtInLibrary.technique('bellows')!, 'a');
    const slow = {
      ...bellows,
      seat: 'chair-seat',
      practice: {
        ...bellows.practice,
        sets: bellows.practice.sets.map((set) => ({
          ...set,
          parts: set.parts.map((part) => (part.kind === 'strokes' ? { ...part, perMinute: 40 } : part)),
        })),
      },
    };
    expect(demandsOf(slow, builtInKnowledge).has('fast')).toBe(true);
  });
});

describe('by degree', () => {
  test('blood thinners are no clot', () => {
    const [recent, thinners] = ['recent', 'thinners'].map((degree) => has('clots', { degree }));
    expect([level(hold('legs-up-wall'), recent!), level(hold('legs-up-wall'), thinners!)]).toEqual(['avoid', null]);
    expect(level(hold('legs-up-wall'), has('clots'))).toBe('avoid');
    const { session } = screened(hold('last-rest'), thinners!);
    expect(session.map(({ rule }) => rule.instead.words).join()).toContain('No hard pressure');
  });

  test('in pregnancy child’s pose is changed, not left out; an open twist is not a closed one; the side is fine', () => {
    expect(level(hold('child-narrow'), pregnant(16))).toBe('change');
    expect(reasons(hold('child-narrow'), pregnant(16))).toContain('room');
    expect(level(hold('child-on-bolster'), pregnant(16))).not.toBe('avoid');
    expect(level(hold('swan-twisted'), pregnant(16))).toBe('avoid');
    expect(level(hold('seated-twist'), pregnant(16))).toBeNull();
    expect(level(hold('side-lying', { sides: { kind: 'one', side: 'left', seconds: 120 } }), pregnant(35))).toBeNull();
  });

  test('three weeks after an operation the class line asks for consent, no sitting up straight, and no carrying', () => {
    const { session } = screened(hold('last-rest'), has('operation-belly', { since: '2026-11-05' }));
    expect(session[0]?.rule.reason).toMatch(/Sitting up straight and carrying props.*surgeon/);
  });
});

describe('said once', () => {
  test('what is to be watched at several steps is one line for the class, with its steps', () => {
    const plan = planOf(hold('last-rest'), restStep('r', 'Rest', 60), { ...hold('supported-cactus'), id: 'b' });
    const { steps, session } = screen(plan, someone('A', has('cold')), builtInKnowledge, CLASS_DAY);
    expect(steps.flatMap(({ cautions }) => cautions)).toEqual([]);
    expect(session.map(({ rule, steps: at }) => [rule.instead.words, at])).toEqual([
      ['Raise the head and chest.', [0, 2]],
    ]);
  });

  test('what has to be decided at a step stays there, though another condition would have it said once', () => {
    const plan = planOf(hold('last-rest'), { ...hold('knees-in-rest'), id: 'b' });
    for (const conditions of [
      [has('reflux'), pregnant(30)],
      [pregnant(30), has('reflux')],
    ]) {
      const { steps } = screen(plan, someone('A', ...conditions), builtInKnowledge, CLASS_DAY);
      expect(steps.map(({ level }) => level)).toEqual(['change', 'change']);
    }
    const alone = screen(plan, someone('A', has('reflux')), builtInKnowledge, CLASS_DAY);
    expect(alone.steps.map(({ level }) => level)).toEqual([null, null]);
    expect(alone.session.find(({ rule }) => rule.on.kind === 'trait')).toMatchObject({
      level: 'change',
      steps: [0, 1],
    });
  });

  test('the line for the class is as careful as the most careful of its steps', () => {
    const plan = planOf(...['a', 'b'].map((id) => hold('last-rest', { id, setUp: [...hold('last-rest').setUp] })));
    const [first] = plan.steps as HoldStep[];
    // The first trunk is at 32°, which is to be watched; the second lies flat.
    const tilted: typeof builtInKnowledge = {
      ...builtInKnowledge,
      strains: (of, setUp, body) =>
        builtInKnowledge
          .strains(of, setUp, body)
          .map((one) => (setUp === first!.setUp ? { ...one, trunkDegrees: 32 } : one)),
    };
    const { session } = screen(plan, someone('A', has('reflux')), tilted, CLASS_DAY);
    expect(session.find(({ rule }) => rule.on.kind === 'trait')).toMatchObject({ level: 'change', steps: [0, 1] });
  });

  test('panic and trauma share one line where the advice is the same, with both reasons', () => {
    const long = hold('easy-seat', { sides: { kind: 'together', seconds: 600 } });
    const { steps } = screened(long, has('panic'), has('trauma'));
    expect(steps[0]!.cautions).toHaveLength(1);
    expect(wholeCaution(steps[0]!.cautions[0]!).map(({ condition }) => condition.id)).toEqual(['panic', 'trauma']);
  });

  test('of a fold of the hips and a rounded back one stands, with both reasons', () => {
    const { steps } = screened(hold('seated-fold'), has('sciatica'));
    expect(steps[0]!.cautions).toHaveLength(1);
  });

  test('on the stage: the same for two people is one line, the most careful first', () => {
    const lines = stageLines(
      [
        { personId: 'a', level: 'watch', instead: null, words: [{ text: 'Eyes open.', level: 'watch' }] },
        { personId: 'b', level: 'avoid', instead: null, words: [{ text: 'Head level.', level: 'avoid' }] },
        { personId: 'c', level: 'watch', instead: null, words: [{ text: 'Eyes open.', level: 'watch' }] },
        { personId: 'd', level: null, instead: 'Side lying', words: [] },
      ],
      [{ personId: 'a', initials: 'A', words: ['near the door'] }],
    );
    expect(lines.map(({ words, personIds }) => [words, personIds.join()])).toEqual([
      ['Head level.', 'b'],
      ['Side lying instead.', 'd'],
      ['Eyes open.', 'a,c'],
      ['near the door', 'a'],
    ]);
  });
});

describe('what is said before a class', () => {
  const ada = { id: 'a', person: someone('Ada', has('glaucoma')) };
  const cold = (personId: string, on: string) => ({ personId, on, conditions: [has('cold')] });
  test('counts for that person on that day, beside what is known; nothing new takes it back', () => {
    const kept0 = withCheckIn(withCheckIn(NOTHING_DECIDED, cold('a', CLASS_DAY)), cold('a', CLASS_DAY));
    expect(kept0.checkIns).toHaveLength(1);
    const conditionsOn = (day: string, of = kept0): string[] =>
      peopleOn([ada], of, day)[0]!.person.conditions.map(({ condition }) => condition);
    expect(conditionsOn(CLASS_DAY)).toEqual(['glaucoma', 'cold']);
    expect(conditionsOn('2026-11-27')).toEqual(['glaucoma']);
    expect(conditionsOn(CLASS_DAY, withCheckIn(kept0, { ...cold('a', CLASS_DAY), conditions: [] }))).toEqual([
      'glaucoma',
    ]);
    expect(ada.person.conditions).toHaveLength(1);
  });

  test('a knee that was quiet and hurts today is screened as one that hurts', () => {
    const bo = { id: 'b', person: someone('Bo', has('knee', { degree: 'old' })) };
    const today = withCheckIn(NOTHING_DECIDED, { personId: 'b', on: CLASS_DAY, conditions: [has('knee')] });
    const levelOf = (decided: typeof today): Level | null =>
      screen(planOf(hold('kneeling-seat')), peopleOn([bo], decided, CLASS_DAY)[0]!.person, builtInKnowledge, CLASS_DAY)
        .steps[0]!.level;
    expect([levelOf(NOTHING_DECIDED), levelOf(today)]).toEqual(['watch', 'avoid']);
  });

  test('a guest is screened by what they said, on that day only, and is gone without a trace', () => {
    const guest = { id: 'g', on: CLASS_DAY, name: 'Quill', conditions: [has('pregnancy')] };
    const kept = withGuest(withGuest(NOTHING_DECIDED, { ...guest, conditions: [] }), guest);
    expect(kept.guests).toEqual([guest]);
    const [, quill] = peopleOn([ada], kept, CLASS_DAY);
    expect(quill).toMatchObject({ id: 'g', person: { name: 'Quill' } });
    expect(screen(planOf(hold('prone-rest')), quill!.person, builtInKnowledge, CLASS_DAY).steps[0]!.level).toBe(
      'avoid',
    );
    expect(peopleOn([ada], kept, '2026-11-27')).toEqual([ada]);
    expect(withoutPerson(kept, 'g')).toEqual(NOTHING_DECIDED);
    expect(readClassPeople(JSON.parse(JSON.stringify(kept)))).toEqual({ ok: true, value: kept });
    expect(readClassPeople({ ...kept, guests: [{ ...guest, name: '' }] }).ok).toBe(false);
  });
});

describe('a custom hold', () => {
  const own = holdNamed('Quay rest', 'q');
  test('is not screened until the three questions are answered', () => {
    expect(isUnscreened(own, builtInKnowledge)).toBe(true);
    expect(level(own, has('glaucoma'))).toBeNull();
    const answered = { ...own, demands: demandsOfAnswers({ how: 'back', headLow: true, weight: ['neck'] }) };
    expect(isUnscreened(answered, builtInKnowledge)).toBe(false);
    expect(level(answered, has('glaucoma'))).toBe('avoid');
    expect(level(answered, pregnant(30))).toBe('change');
    expect(level(answered, has('neck'))).toBe('avoid');
    expect(isUnscreened(hold('last-rest'), builtInKnowledge)).toBe(false);
  });

  test('the answers are read back as they were given, as far as they differ', () => {
    for (const how of LYING_HOW) {
      for (const headLow of [true, false]) {
        for (const weight of [[], ['hands'], [...WEIGHT_ON]] as (typeof WEIGHT_ON)[number][][]) {
          const demands = demandsOfAnswers({ how, headLow, weight });
          expect(demandsOfAnswers(answersOfDemands(demands)).sort()).toEqual([...demands].sort());
          expect(new Set(demands).size).toBe(demands.length);
        }
      }
    }
  });
});

describe('easier and stronger of the library', () => {
  /** What is more of a stretch or a load the larger it is, as the figure measures it. */
  const loadOf = (of: string, setUp: string): Record<string, number> => {
    const [one] = builtInKnowledge.strains(position(of), named(of, setUp).setUp);
    const { headBelowHeartCm, kneeBendDegrees, hipFoldDegrees, hipExtensionDegrees, spineFoldDegrees } = one!;
    return {
      head: headBelowHeartCm,
      knee: kneeBendDegrees,
      hip: hipFoldDegrees,
      backOfThigh: hipFoldDegrees - kneeBendDegrees,
      frontOfHip: hipExtensionDegrees,
      round: Math.max(0, spineFoldDegrees),
      arch: Math.max(0, -spineFoldDegrees),
      arm: one!.armLiftDegrees,
    };
  };
  const all = POSITIONS.flatMap(({ id, easier, stronger, setUps }) =>
    (
      [
        ['easier', easier],
        ['stronger', stronger],
      ] as const
    ).flatMap(([kind, { setUp, position: other }]) =>
      setUp === undefined && other === undefined
        ? []
        : [{ id, kind, usual: setUps[0]!.id, of: other ?? id, setUp: setUp ?? position(other!).setUps[0]!.id }],
    ),
  );

  test('none of them is what one does anyway', () => {
    expect(all.filter(({ id, of, usual, setUp }) => of === id && setUp === usual)).toEqual([]);
  });

  test('easier puts the head no lower, and where it measures anything else, something is less; stronger, something is more', () => {
    /** One leg folded and the other straight: the hip of the folded one is the larger. */
    const oneLeg = new Set(['reclined-kneeling', 'reclined-half-kneeling']);
    /** Arms that lie lower, a head that lies lower: no stretch the figure has a measure for. */
    const unmeasured = new Set(['legs-parallel-held']);
    const wrong: string[] = [];
    for (const { id, kind, usual, of, setUp } of all) {
      const [before, after] = [loadOf(id, usual), loadOf(of, setUp)];
      const changes = Object.entries(after)
        .map(([name, amount]) => [name, amount - before[name]!] as const)
        .filter(([, change]) => Math.abs(change) >= 3)
        // The head is looked at by itself, and arms that lie lower ease nothing that a fold makes stronger.
        .filter(([name, change]) => name !== 'head' && (kind === 'easier' || name !== 'arm' || change > 0));
      const what = `${id} ${kind}: ${of}/${setUp} ${changes.map(([name, change]) => `${name} ${change}`).join(', ')}`;
      if (kind === 'easier' && after.head! > Math.max(5, before.head!)) wrong.push(what);
      if (oneLeg.has(id) || unmeasured.has(id) || changes.length === 0) continue;
      if (!changes.some(([, change]) => (kind === 'easier' ? change < 0 : change > 0))) wrong.push(what);
    }
    expect(wrong).toEqual([]);
  });
});

function screenStepAt(step: HoldStep, cm: number, active: Parameters<typeof modifications>[1]): Level | null {
  const knowledge = { ...builtInKnowledge, strains: builtInKnowledge.strains };
  const [measured] = knowledge.strains(position('chair-fold'), step.setUp);
  const low = { ...knowledge, strains: () => [{ ...measured!, headBelowHeartCm: cm }] };
  const person = someone('A', has('glaucoma', { degree: 'unsettled' }));
  expect(active.length).toBeGreaterThan(0);
  return screen(planOf(step), person, low, CLASS_DAY).steps[0]!.level;
}

describe('how a condition is now', () => {
  test.each([
    // condition, sore or often, quiet or seldom, position, level of the one, level of the other
    ['neck', 'sore', 'old', 'prone-rest', 'change', 'watch'],
    ['disc-neck', 'fresh', 'old', 'prone-rest', 'change', 'watch'],
    ['hernia-belly', 'open', 'repaired', 'prone-rest', 'change', 'watch'],
    ['wrist', 'sore', 'old', 'seal', 'change', 'watch'],
    ['ankle', 'sore', 'old', 'squat', 'change', 'watch'],
    ['sciatica', 'now', 'past', 'seated-fold', 'change', 'watch'],
    ['reflux', 'often', 'seldom', 'last-rest', 'change', 'watch'],
    ['vertigo', 'now', 'past', 'hanging-fold', 'change', 'watch'],
    ['panic', 'now', 'past', 'prone-rest', 'watch', null],
  ] as const)(
    '%s: %s asks for more care than %s; not said, for as much',
    (condition, now, quiet, position, more, less) => {
      expect(level(hold(position), has(condition, { degree: now }))).toBe(more);
      expect(level(hold(position), has(condition, { degree: quiet }))).toBe(less);
      expect(level(hold(position), has(condition))).toBe(more);
    },
  );
});
