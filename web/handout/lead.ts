import type { HandoutLength, HandoutPhase } from '#core/exchange';
import { phaseIndexAt } from '#core/timeline';

/** What is on the page at a moment of a handout. */
export interface Moment {
  phase: HandoutPhase;
  /** Milliseconds of the phase that are still to come, and how much of it they are, from 1 to 0. */
  leftMs: number;
  share: number;
  /** The next phase that is something to do, after this one; undefined at the end. */
  next: HandoutPhase | undefined;
  /** Until everything is over. */
  totalLeftMs: number;
  /** What was said last in this phase. */
  says: string;
}

/** The phases of a length with the moment each begins. */
function starts({ phases }: HandoutLength): { startMs: number; phase: HandoutPhase }[] {
  let startMs = 0;
  return phases.map((phase) => {
    const at = { startMs, phase };
    startMs += phase.ms;
    return at;
  });
}

const DONE: ReadonlySet<HandoutPhase['part']> = new Set(['hold', 'breath', 'rest', 'release']);

/** Reads a handout by the clock: what is on at a moment, and where to go from there. */
export function leader(length: HandoutLength) {
  const all = starts(length);

  function momentAt(atMs: number): Moment | undefined {
    const index = phaseIndexAt(all, atMs);
    const now = all[index];
    if (!now || atMs >= length.totalMs) return undefined;
    const endMs = now.startMs + now.phase.ms;
    const prompt = length.prompts.findLast((one) => one.atMs >= now.startMs && one.atMs <= atMs);
    return {
      phase: now.phase,
      leftMs: endMs - atMs,
      share: now.phase.ms > 0 ? (endMs - atMs) / now.phase.ms : 0,
      next: all.slice(index + 1).find(({ phase }) => DONE.has(phase.part) && !isSame(phase, now.phase))?.phase,
      totalLeftMs: length.totalMs - atMs,
      says: prompt?.text ?? now.phase.says,
    };
  }

  const isSame = (a: HandoutPhase, b: HandoutPhase): boolean =>
    a.step === b.step && a.side === b.side && a.part === b.part;

  /** The moment a step begins; the end for one after the last. */
  const startOfStep = (step: number): number => all.find(({ phase }) => phase.step >= step)?.startMs ?? length.totalMs;
  /** The moment the next side or step begins. */
  function after(atMs: number): number {
    const now = all[phaseIndexAt(all, atMs)];
    if (!now) return length.totalMs;
    const { step, side } = now.phase;
    const next = all.find(
      ({ startMs, phase }) =>
        startMs > atMs && (phase.step !== step || (phase.part === 'change' && side === now.phase.side)),
    );
    return next?.startMs ?? length.totalMs;
  }
  /** The beginning of this step, or of the one before where it has hardly begun. */
  function before(atMs: number): number {
    const step = all[phaseIndexAt(all, atMs)]?.phase.step ?? 0;
    const start = startOfStep(step);
    return atMs - start > 5000 ? start : startOfStep(Math.max(0, step - 1));
  }
  /** The bells from one moment to another, the first left out. */
  const bellsBetween = (fromMs: number, toMs: number) =>
    length.bells.filter(({ atMs }) => atMs > fromMs && atMs <= toMs);

  return { momentAt, after, before, bellsBetween };
}
