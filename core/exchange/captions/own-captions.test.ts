import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { emptyPlan, holdFrom, sideSeconds, talkStep, type HoldStep, type Plan } from '#core/plan';
import { compileTimeline } from '#core/timeline';
import { builtInLibrary, POSITIONS } from '#library';
import { SYNONYMS } from '#library/synonyms';
import { captionsOf, ownCaptions, planOfClass, readCaptionsFile, spokenEntries, webVtt } from '../index';

const entries = spokenEntries({
  positions: POSITIONS,
  techniques: [],
  alsoCalled: (id) => SYNONYMS[id] ?? [],
  spokenWaysIn: () => [],
});
const seconds = fc.integer({ min: 5, max: 1500 });
const side = fc.constantFrom('left', 'right');
/** Positions that come again and again, so that steps of one position follow each other. */
const FEW = POSITIONS.filter(({ id }) => ['head-to-knee', 'sphinx', 'side-lying'].includes(id));
/** A hold of any position, with any sides it may have. */
const anyHold = fc
  .tuple(
    fc.oneof(fc.constantFrom(...POSITIONS), fc.constantFrom(...FEW)),
    seconds,
    seconds,
    side,
    fc.boolean(),
    fc.boolean(),
  )
  .map(([position, a, b, first, isEven, isOne]): HoldStep => {
    const hold = holdFrom(position, 'yin', 'x');
    if (position.sides === 'together') return { ...hold, sides: { kind: 'together', seconds: a } };
    if (position.sides === 'one' || isOne) return { ...hold, sides: { kind: 'one', side: first, seconds: a } };
    const length = isEven ? { kind: 'even' as const, seconds: a } : { kind: 'perSide' as const, left: a, right: b };
    return { ...hold, sides: { kind: position.sides, first, length } };
  });
const anyPlan = fc.array(anyHold, { minLength: 1, maxLength: 6 }).map((holds): Plan => ({
  ...emptyPlan('Written here', 'yin'),
  steps: [talkStep('arrive', 'Arrive', 60), ...holds.map((step, i) => ({ ...step, id: `step-${i}` }))],
}));
/** What comes back: position, sides and lengths, step by step. */
const heldIn = ({ steps }: Plan): unknown[] =>
  steps.flatMap((step) => {
    if (step.kind !== 'hold') return [];
    const { sides } = step;
    const first =
      sides.kind === 'each' || sides.kind === 'crossing' ? sides.first : sides.kind === 'one' ? sides.side : '';
    return [[step.position, sides.kind, first, sideSeconds(sides)]];
  });

async function backFrom(plan: Plan): Promise<Plan> {
  const file = webVtt(plan.title, captionsOf(plan, compileTimeline(plan, builtInLibrary), builtInLibrary));
  const read = await readCaptionsFile(file);
  const segments = typeof read === 'string' ? undefined : ownCaptions(read.cues, entries);
  let ids = 0;
  const newId = (): string => `new-${++ids}`;
  const options = {
    title: plan.title,
    approach: 'yin',
    library: builtInLibrary,
    newId,
    lengths: 'led',
    even: false,
  } as const;
  return planOfClass(segments ?? [], options).plan;
}

test('captions that were written here come back as their plan: positions, sides, lengths to the second', async () => {
  await fc.assert(
    fc.asyncProperty(anyPlan, async (plan) => {
      expect(heldIn(await backFrom(plan))).toEqual(heldIn(plan));
    }),
    { numRuns: 150 },
  );
});

test('captions of anybody else are none that were written here', async () => {
  const read = await readCaptionsFile('WEBVTT\n\n00:01.000 --> 00:04.000\nHello, everybody. Sphinx, 4 minutes.\n');
  expect(typeof read === 'string' ? read : ownCaptions(read.cues, entries)).toBeUndefined();
});
