import { breathProgram, practiceMs, type BreathPhase } from '#core/breath';
import { spokenOver, type Library } from '#core/catalogue';
import type { BreathMoves, BreathStep, FirstSide } from '#core/plan';
import { toMs, type Ms } from '#core/numbers';
import { changeSeconds } from './change-seconds';
import type { TimelineRules } from './rules';
import type { PhaseSide } from './types';
import type { TimelineWriter } from './writer';

/** Left and right in the order in which they are held. */
export function sidesInOrder(first: FirstSide, rules: TimelineRules): ['left', 'right'] | ['right', 'left'] {
  return (first === 'house' ? rules.firstSide : first) === 'left' ? ['left', 'right'] : ['right', 'left'];
}

/** The rounds of a program, and the rests after sets, each as a list of phases. */
function byRound(program: readonly BreathPhase[]): BreathPhase[][] {
  const rounds: BreathPhase[][] = [];
  let before: BreathPhase | undefined;
  for (const phase of program) {
    const same = before?.set === phase.set && before.round === phase.round && phase.kind !== 'quiet';
    if (same) rounds.at(-1)?.push(phase);
    else rounds.push([phase]);
    before = phase;
  }
  return rounds;
}

/**
 * Coming out of the position that the last breath ended in: as long as the plan says, or else as the breath that leaves
 * it, which would have been the next. `program` is what was breathed, without what follows it.
 */
function writeWayOut(writer: TimelineWriter, program: readonly BreathPhase[], moves: BreathMoves, side: PhaseSide) {
  if (moves.exit) return writer.body(toMs(moves.exit.seconds), 'leave', side);
  const last = program.findLast(({ kind }) => kind === moves.into || kind === moves.outOf);
  if (moves.into === moves.outOf || last?.kind !== moves.into) return;
  const out = program.findLast(({ kind }) => kind === moves.outOf) ?? last;
  writer.body(out.endMs - out.startMs, 'leave', side);
}

/** A breath that moves a position: together, one side after the other with the change between, or in turn. */
function writeMoves(
  writer: TimelineWriter,
  step: BreathStep,
  moves: BreathMoves,
  library: Library,
  rules: TimelineRules,
) {
  const program = breathProgram(step.practice);
  if (moves.sides === 'together') {
    for (const phase of program) writer.breath(phase, { side: 'both' });
    return writeWayOut(writer, program, moves, 'both');
  }
  const sides = sidesInOrder(moves.first, rules);
  const cycles = program.reduce((most, phase) => Math.max(most, 'cycle' in phase ? phase.cycle : 0), 0);
  if (moves.sides === 'inTurn') {
    for (const round of byRound(program)) {
      // A rest belongs to no side.
      if (round[0]?.kind === 'quiet') for (const phase of round) writer.breath(phase);
      else
        sides.forEach((side, i) => {
          for (const phase of round) writer.breath(phase, { side, cyclesBefore: i * cycles });
        });
    }
    return writeWayOut(writer, program, moves, sides[1]);
  }
  const usual = library.position(moves.position)?.switchSeconds ?? rules.switchSeconds;
  const switchSeconds = moves.switchSeconds ?? changeSeconds(usual, rules);
  sides.forEach((side, turn) => {
    if (turn > 0) writer.change(toMs(switchSeconds), 'switch', writer.place(step.setUp, side));
    for (const phase of program) writer.breath(phase, { side, turn, cyclesBefore: turn * cycles });
    writeWayOut(writer, program, moves, side);
  });
}

/** What people are led through, spread over a practice that begins so long after the moments are counted from. */
export function writeSpoken(
  writer: TimelineWriter,
  technique: string,
  library: Library,
  { side, turn, startMs, afterMs, lengthMs }: { side: PhaseSide; turn: number; startMs: Ms; afterMs: Ms; lengthMs: Ms },
): void {
  for (const { text, atSeconds } of spokenOver(library.technique(technique)?.spoken ?? [], lengthMs / 1000)) {
    const at = { kind: 'after' as const, seconds: afterMs / 1000 + atSeconds };
    writer.prompt({ atMs: startMs + toMs(at.seconds), side, turn, at, text });
  }
}

/**
 * A breath unfolds as set-up, its program (on one side after the other where it moves a position) and quiet breathing.
 */
export function writeBreathStep(
  writer: TimelineWriter,
  step: BreathStep,
  library: Library,
  rules: TimelineRules,
): void {
  const { moves, practice } = step;
  if (!library.technique(step.technique)) {
    writer.note(
      'unknownTechnique',
      `“${step.name || step.technique}” is not in your library; the counts in the plan are used.`,
    );
  }
  if (moves && !library.position(moves.position)) {
    writer.note('unknownPosition', 'The position of this counted breath is not in your library.');
  }
  writer.setUp(
    step.setUp,
    moves && moves.sides !== 'together' ? sidesInOrder(moves.first, rules)[0] : 'both',
    step.setupSeconds,
  );
  if (moves) writeMoves(writer, step, moves, library, rules);
  else {
    const startMs = writer.now();
    for (const phase of breathProgram(practice)) writer.breath(phase);
    const lengthMs = practiceMs(practice);
    writeSpoken(writer, step.technique, library, { side: 'none', turn: 0, startMs, afterMs: 0, lengthMs });
  }
  const afterMs = toMs(step.afterSeconds);
  const last = practice.sets.at(-1);
  const place = { set: practice.sets.length - 1, part: (last?.parts.length ?? 1) - 1, round: last?.rounds ?? 1 };
  const turn = moves?.sides === 'each' ? 1 : 0;
  writer.breath({ kind: 'quiet', startMs: 0, endMs: afterMs, ...place }, { turn });
}
