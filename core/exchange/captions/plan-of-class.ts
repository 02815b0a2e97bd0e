import { cycleOf, setOf, BREATH_LIMITS } from '#core/breath';
import type { Approach, Library, Position } from '#core/catalogue';
import type { Ms, Seconds } from '#core/numbers';
import {
  PLAN_LIMITS,
  breathFrom,
  emptyPlan,
  holdFrom,
  restStep,
  talkStep,
  type BreathStep,
  type HoldSides,
  type HoldStep,
  type Plan,
  type Step,
} from '#core/plan';
import type { ClassSegment } from './read-class';

/** How a plan is made of a class that was led. */
export interface PlanOfClass {
  title: string;
  approach: Approach;
  library: Library;
  newId: () => string;
  /** Lengths as they were led, or as they were announced where they were. */
  lengths: 'led' | 'announced';
  /** Both sides of a hold as long as the longer one. */
  even: boolean;
}

/** A plan of a class, with when each of its holds and other stretches was led. */
export interface LedPlan {
  plan: Plan;
  /** By the id of a step: when each side of a hold was led, in order; of another step, when all of it was. */
  led: ReadonlyMap<string, readonly LedStretch[]>;
}
export type LedStretch = Pick<ClassSegment, 'startMs' | 'endMs'>;

/** What is shorter than this is part of what is around it: of the way into the next hold, or out of the last one. */
const SHORTEST_STEP_MS = 20_000;
const secondsOf = (ms: Ms): Seconds => Math.round(ms / 1000);

/** One side of a hold, with what led into it and out of it. */
interface Turn {
  side: ClassSegment['side'];
  seconds: Seconds;
  inSeconds: Seconds;
  outSeconds: Seconds;
  segment: ClassSegment;
}

/** A hold that is being made, with the sides it was led on. */
interface Held {
  step: HoldStep;
  position: Position;
  turns: Turn[];
  /** A rest after each side; 0 without one. */
  restSeconds: Seconds;
}

/**
 * A plan of what was led: each position with the sides, lengths and changes it had; talk and rests of some length as
 * steps of their own. A position that the library does not have leaves its time in the plan, as a step without a hold.
 */
export function planOfClass(segments: readonly ClassSegment[], options: PlanOfClass): LedPlan {
  const { title, approach, library, newId } = options;
  const steps: Step[] = [];
  const held: Held[] = [];
  const led = new Map<string, readonly LedStretch[]>();
  /** What lies before a segment, and is too short to be a step. */
  let spareMs: Ms = 0;
  const add = (step: Step, segment: ClassSegment): void => {
    // Nothing else of a plan has a way in: the hold before it is left more slowly.
    const last = held.at(-1);
    const turn = last?.step === steps.at(-1) ? last?.turns.at(-1) : undefined;
    if (turn) turn.outSeconds += secondsOf(spareMs);
    spareMs = 0;
    steps.push(step);
    led.set(step.id, [segment]);
  };
  for (const [i, segment] of segments.entries()) {
    const ms = segment.endMs - segment.startMs;
    const last = held.at(-1);
    if (segment.kind === 'hold') {
      const position = library.position(segment.id ?? '');
      if (!position) {
        add(talkStep(newId(), 'Another position', secondsOf(ms)), segment);
        continue;
      }
      const turn = turnOf(segment, segments, i, options);
      turn.inSeconds += secondsOf(spareMs);
      spareMs = 0;
      if (segment.turn === 2 && last && isLast(steps, last, position)) {
        // A rest between the sides is one after each side; talk there is part of the way into the second.
        const between = steps.at(-1);
        if (between?.kind === 'rest') last.restSeconds = between.seconds;
        if (between?.kind === 'talk') turn.inSeconds += between.seconds;
        if (between && between !== last.step) led.delete(steps.pop()?.id ?? '');
        last.turns.push(turn);
      } else {
        const step = holdFrom(position, approach, newId());
        held.push({ step, position, turns: [turn], restSeconds: 0 });
        steps.push(step);
      }
    } else if (segment.kind === 'breath') {
      const step = breathOf(segment, options);
      if (step) add(step, segment);
    } else if (segment.kind === 'in' || segment.kind === 'out') continue;
    else if (ms < SHORTEST_STEP_MS) spareMs += ms;
    else if (segment.kind === 'rest') {
      const isAfterSides = last !== undefined && last.restSeconds > 0 && last.step === steps.at(-1);
      if (!isAfterSides) add(restStep(newId(), 'Rest', secondsOf(ms)), segment);
    } else add(talkStep(newId(), segment.kind === 'talk' ? 'Talk' : 'Shown', secondsOf(ms)), segment);
  }
  const made = new Map(held.map((one) => [one.step.id, finished(one, options)]));
  for (const { step, turns } of held)
    led.set(
      step.id,
      turns.map(({ segment }) => segment),
    );
  const totalMs = (segments.at(-1)?.endMs ?? 0) - (segments[0]?.startMs ?? 0);
  const plan = {
    ...emptyPlan(title, approach),
    classSeconds: Math.max(60, Math.ceil(totalMs / 60_000) * 60),
    steps: steps.map((step) => made.get(step.id) ?? step),
  };
  return { plan, led };
}

/** Whether a hold of a position is the last step, or has only a rest or some talk after it. */
function isLast(steps: readonly Step[], { step, position, turns }: Held, wanted: Position): boolean {
  if (position.id !== wanted.id || turns.length > 1) return false;
  const [before, after] = [steps.at(-2), steps.at(-1)];
  return after === step || (before === step && (after?.kind === 'rest' || after?.kind === 'talk'));
}

/** A hold with the segments around it: the way in before it, and the way out after it. */
function turnOf(segment: ClassSegment, around: readonly ClassSegment[], at: number, { lengths }: PlanOfClass): Turn {
  const msOf = (kind: ClassSegment['kind'], one: ClassSegment | undefined): Ms =>
    one?.kind === kind ? one.endMs - one.startMs : 0;
  const { announced } = segment;
  const wanted = lengths === 'announced' && announced ? Math.round((announced.least + announced.most) / 2) : undefined;
  return {
    side: segment.side,
    seconds: Math.max(1, wanted ?? secondsOf(segment.endMs - segment.startMs)),
    inSeconds: secondsOf(msOf('in', around[at - 1])),
    outSeconds: secondsOf(msOf('out', around[at + 1])),
    segment,
  };
}

function sidesOf(position: Position, turns: readonly Turn[], isEven: boolean): HoldSides {
  const [first, second] = turns;
  const seconds = first?.seconds ?? 1;
  const side = first?.side === 'right' ? 'right' : 'left';
  if (position.sides === 'together') return { kind: 'together', seconds };
  if (!second || position.sides === 'one') return { kind: 'one', side, seconds };
  const longer = Math.max(seconds, second.seconds);
  if (isEven || seconds === second.seconds)
    return { kind: position.sides, first: side, length: { kind: 'even', seconds: longer } };
  const [left, right] = side === 'left' ? [seconds, second.seconds] : [second.seconds, seconds];
  return { kind: position.sides, first: side, length: { kind: 'perSide', left, right } };
}

/** A hold as it was led: entering takes what it usually does, and the rest of the way in is its set-up. */
function finished({ step, position, turns, restSeconds }: Held, { even }: PlanOfClass): HoldStep {
  const [first, second] = turns;
  const change = (seconds: Seconds): Seconds => Math.min(PLAN_LIMITS.maxChange, Math.max(0, seconds));
  const leaveSeconds = change(turns.at(-1)?.outSeconds ?? 0);
  const enterSeconds = Math.min(position.enterSeconds, first?.inSeconds ?? 0);
  return {
    ...step,
    sides: sidesOf(position, turns, even),
    unevenIntended: false,
    setupSeconds: change((first?.inSeconds ?? 0) - enterSeconds),
    enterSeconds,
    leaveSeconds,
    // Between the sides the way out of the first and the way into the second are made of the same parts.
    switchSeconds: second ? change((first?.outSeconds ?? 0) - leaveSeconds + second.inSeconds - enterSeconds) : null,
    rebound: restSeconds > 0 ? { kind: 'afterEach', seconds: change(restSeconds) } : { kind: 'none' },
    loosen: null,
  };
}

/** A breath as it was counted; the technique’s usual practice where nothing was. */
function breathOf({ id, breath }: ClassSegment, { library, newId }: PlanOfClass): BreathStep | undefined {
  const technique = library.technique(id ?? '');
  if (!technique) return undefined;
  const step = breathFrom(technique, newId());
  const [breathIn = 0, , out = 0] = breath?.counts ?? [];
  const rounds = breath?.rounds ?? null;
  if (!breath || rounds === null || breathIn === 0 || out === 0) return step;
  const set = setOf('counted', [cycleOf(breath.counts)], Math.min(BREATH_LIMITS.maxRounds, Math.max(1, rounds)));
  return { ...step, practice: { countSeconds: 1, sets: [set] } };
}
