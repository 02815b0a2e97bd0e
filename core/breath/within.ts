import { toMs, type Ms } from '#core/numbers';
import { partMs, practiceMs, roundMs } from './lengths';
import type { BreathPractice } from './practice';
import { breathProgram, type BreathPhase } from './program';

/** Whether a breath has come to its end with this phase: after it another cycle, or something else, begins. */
function endsBreath(phase: BreathPhase, next: BreathPhase | undefined): boolean {
  return !('cycle' in phase) || next === undefined || !('cycle' in next) || next.cycle !== phase.cycle;
}

/**
 * The phases of a practice that has `budgetMs` milliseconds, from 0: as much of it as ends with a whole cycle. With
 * `fill` its last set goes on for as many rounds as there is room; without, it is done once as it stands. More room
 * only adds phases at the end, so what is under way goes on as it was.
 */
export function breathWithin(practice: BreathPractice, fill: boolean, budgetMs: Ms): BreathPhase[] {
  const last = practice.sets.at(-1);
  if (!last) return [];
  const restless = { ...practice, sets: practice.sets.with(-1, { ...last, restSeconds: 0 }) };
  const spareMs = budgetMs - practiceMs(restless);
  // One more round than there is room for: its first cycles may still fit.
  const extra = fill && spareMs > 0 ? Math.floor(spareMs / roundMs(last, practice.countSeconds, last.rounds)) + 1 : 0;
  const phases = breathProgram(restless, extra);
  const over = phases.findIndex(({ endMs }) => endMs > budgetMs);
  const within = over < 0 ? phases : phases.slice(0, over);
  const begun = phases[over];
  const part = begun && practice.sets[begun.set]?.parts[begun.part];
  if (begun?.kind === 'ownPace' && part?.kind === 'ownPace') {
    const cycles = Math.floor((budgetMs - begun.startMs) / toMs(part.secondsPerCycle));
    const endMs = begun.startMs + partMs({ ...part, cycles }, practice.countSeconds);
    return cycles > 0 ? [...within, { ...begun, cycles, endMs }] : within;
  }
  const whole = within.findLastIndex((phase, i) => endsBreath(phase, phases[i + 1]));
  return within.slice(0, whole + 1);
}
