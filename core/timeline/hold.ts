import { breathCost, breathWithin, type BreathPhase } from '#core/breath';
import { wordsOnSide, type Library, type Moment } from '#core/catalogue';
import { sideSeconds, type HoldBreath, type HoldStep, type Moment as PlanMoment } from '#core/plan';
import { toMs, type Ms, type Seconds } from '#core/numbers';
import { clockOfMs, clockOfSeconds } from '#core/time';
import { sidesInOrder, writeSpoken } from './breath';
import { momentMs } from './moment';
import { changeSeconds } from './change-seconds';
import type { TimelineRules } from './rules';
import { splitStages } from './stages';
import type { TimelineWriter } from './writer';

type Held = 'left' | 'right' | 'both';

interface Turn {
  held: Held;
  seconds: Seconds;
}

interface ChangeTimes {
  enterMs: Ms;
  leaveMs: Ms;
  switchMs: Ms;
}

/** The sides of a hold in the order in which they are held. */
export function turnsOf(step: HoldStep, rules: TimelineRules): Turn[] {
  const { sides } = step;
  const { left, right } = sideSeconds(sides);
  if (sides.kind === 'together') return [{ held: 'both', seconds: sides.seconds }];
  if (sides.kind === 'one') return [{ held: sides.side, seconds: sides.seconds }];
  const turns: [Turn, Turn] = [
    { held: 'left', seconds: left },
    { held: 'right', seconds: right },
  ];
  return sidesInOrder(sides.first, rules)[0] === 'left' ? turns : turns.reverse();
}

/**
 * How long getting in, coming out and changing sides take where a hold does not say: as its library entry has it, else
 * as is usual, longer or shorter by what the rules say. Whole seconds, unless nothing is changed.
 */
export const usualChanges = (
  { position }: Pick<HoldStep, 'position'>,
  library: Library,
  rules: TimelineRules,
): Record<'enterSeconds' | 'leaveSeconds' | 'switchSeconds', Seconds> => {
  const { enterSeconds, leaveSeconds, switchSeconds } = library.position(position) ?? rules;
  const at = (usual: Seconds) => changeSeconds(usual, rules);
  return { enterSeconds: at(enterSeconds), leaveSeconds: at(leaveSeconds), switchSeconds: at(switchSeconds) };
};

function changeTimes(step: HoldStep, library: Library, rules: TimelineRules): ChangeTimes {
  const usual = usualChanges(step, library, rules);
  return {
    enterMs: toMs(step.enterSeconds ?? usual.enterSeconds),
    leaveMs: toMs(step.leaveSeconds ?? usual.leaveSeconds),
    switchMs: toMs(step.switchSeconds ?? usual.switchSeconds),
  };
}

/** A breath of nobody in particular: ten a minute. */
const USUAL_BREATH_SECONDS = 6;

/** How long a breath is counted for in a hold: what it is measured in, else the mean of the breath inside it. */
function breathLength({ breathSeconds, breath }: HoldStep): Seconds {
  if (breathSeconds !== null) return breathSeconds;
  const { cycles, breathingMs } = breath ? breathCost(breath.practice) : { cycles: 0, breathingMs: 0 };
  return cycles > 0 ? breathingMs / 1000 / cycles : USUAL_BREATH_SECONDS;
}

/** A moment as one by the clock: breaths are counted from where they begin to be counted. */
function timed(at: PlanMoment, { breath, breathSeconds }: HoldStep, seconds: Seconds): Moment {
  if (at.kind !== 'afterBreaths') return at;
  const settleSeconds = breathSeconds === null ? (breath?.settleSeconds ?? 0) : 0;
  return { kind: 'after', seconds: Math.round((settleSeconds + at.breaths * seconds) * 1000) / 1000 };
}

function writePrompts(writer: TimelineWriter, step: HoldStep, held: Held, turn: number, startMs: Ms, holdMs: Ms): void {
  const breathSeconds = breathLength(step);
  for (const prompt of step.prompts) {
    if ((prompt.on === 'first' && turn !== 0) || (prompt.on === 'second' && turn !== 1)) continue;
    const at = timed(prompt.at, step, breathSeconds);
    // What is said on one side only is written for that side.
    const text = prompt.on === 'every' ? wordsOnSide(prompt.text, held) : prompt.text;
    const offset = momentMs(at, holdMs);
    if (offset >= 0 && offset <= holdMs) writer.prompt({ atMs: startMs + offset, side: held, turn, at, text });
    else writer.note('promptOutside', `“${text}” falls outside a hold of ${clockOfMs(holdMs)} and is not said.`);
  }
}

/** The breath inside a hold, once the body has settled. */
function writeBreathInside(
  writer: TimelineWriter,
  step: HoldStep,
  held: Held,
  turn: number,
  startMs: Ms,
  holdMs: Ms,
  library: Library,
): void {
  if (!step.breath) return;
  const phases = breathInHold(step.breath, holdMs);
  const settleMs = toMs(step.breath.settleSeconds);
  const lengthMs = phases.at(-1)?.endMs ?? 0;
  if (phases.length === 0) {
    writer.note(
      'breathShort',
      `${step.breath.name} does not fit: there is not one whole breath after ${clockOfMs(settleMs)} of settling.`,
    );
    return;
  }
  const beginMs = startMs + settleMs;
  writer.breathInHold({ side: held, turn, startMs: beginMs, endMs: beginMs + lengthMs, phases });
  writeSpoken(writer, step.breath.technique, library, { side: held, turn, startMs, afterMs: settleMs, lengthMs });
}

/**
 * The phases of a breath inside a hold of `holdMs` milliseconds, from 0 at the moment when the body has settled; as
 * many as end with a whole cycle before the hold does. A longer hold only adds phases at the end.
 */
export const breathInHold = ({ practice, settleSeconds, fill }: HoldBreath, holdMs: Ms): BreathPhase[] =>
  breathWithin(practice, fill, holdMs - toMs(settleSeconds));

/** The hold itself: one phase, or one for each stage, with its prompts. What is written for the left side is
 * mirrored on the right. */
function writeHold(writer: TimelineWriter, step: HoldStep, turn: Turn, number: number, library: Library): void {
  const holdMs = toMs(turn.seconds);
  const startMs = writer.now();
  const common = { side: turn.held, turn: number, crossing: step.sides.kind === 'crossing' };
  if (step.stages.length === 0) writer.hold(holdMs, { ...common, stage: null });
  else {
    const { lengths, overMs, shortMs } = splitStages(step.stages, holdMs);
    if (overMs > 0)
      writer.note('stagesLong', `The stages are ${clockOfMs(overMs)} longer than the hold, so each is shortened.`);
    if (shortMs > 0)
      writer.note('stagesShort', `The stages are ${clockOfMs(shortMs)} shorter than the hold; the last one takes it.`);
    step.stages.forEach((stage, index) => {
      const moves = stage.setUp === null ? [] : writer.place(stage.setUp, turn.held);
      const name = wordsOnSide(stage.name, turn.held);
      const breathMs = stage.breathSeconds === null ? null : toMs(stage.breathSeconds);
      writer.hold(lengths[index] ?? 0, {
        ...common,
        stage: { index, count: step.stages.length, name, moves, breathMs },
      });
    });
  }
  writeBreathInside(writer, step, turn.held, number, startMs, holdMs, library);
  writePrompts(writer, step, turn.held, number, startMs, holdMs);
}

function writeNotes(writer: TimelineWriter, step: HoldStep, turns: readonly Turn[], library: Library): void {
  if (!library.position(step.position)) {
    writer.note(
      'unknownPosition',
      `“${step.name || step.position}” is not in your library; the times in the plan are used.`,
    );
  }
  const [first, second] = turns;
  if (first && second && first.seconds !== second.seconds && !step.unevenIntended) {
    const difference = clockOfSeconds(Math.abs(first.seconds - second.seconds));
    writer.note('uneven', `Second side is ${difference} ${second.seconds < first.seconds ? 'shorter' : 'longer'}.`);
  }
  const { min, max } = step.range ?? { min: 0, max: Infinity };
  if (turns.some(({ seconds }) => seconds < min || seconds > max)) {
    writer.note('outsideRange', `Outside its range of ${clockOfSeconds(min)} to ${clockOfSeconds(max)}.`);
  }
  if (step.strength !== null && step.strength > 7) {
    writer.note('strong', `Intensity ${step.strength} of 10 is higher than any approach here aims for.`);
  }
}

/**
 * A hold unfolds as set-up, then for each side: enter, hold, leave, rest and release after a side where wanted, and
 * between the sides the switch with its props; then the rest and the release after both.
 */
export function writeHoldStep(writer: TimelineWriter, step: HoldStep, library: Library, rules: TimelineRules): void {
  const turns = turnsOf(step, rules);
  const times = changeTimes(step, library, rules);
  writeNotes(writer, step, turns, library);
  writer.setUp(step.setUp, turns[0]?.held ?? 'both', step.setupSeconds);
  turns.forEach((turn, number) => {
    const isLast = number === turns.length - 1;
    if (number > 0) {
      const moves = writer.place(step.setUp, turn.held);
      writer.change(times.switchMs, 'switch', moves);
    }
    writer.body(times.enterMs, 'enter', turn.held);
    writeHold(writer, step, turn, number, library);
    writer.body(times.leaveMs, 'leave', turn.held);
    const reboundHere = step.rebound.kind === 'afterEach' || (step.rebound.kind === 'afterBoth' && isLast);
    if (step.rebound.kind !== 'none' && reboundHere) {
      writer.body(toMs(step.rebound.seconds), 'rebound');
    }
    if (step.loosen && (step.loosen.when === 'afterEach' || isLast)) {
      writer.body(toMs(step.loosen.seconds), 'loosen');
    }
  });
}
