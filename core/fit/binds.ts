import { toMs, type Ms, type Seconds } from '#core/numbers';
import { compileTimeline, DEFAULT_RULES } from '#core/timeline';
import type { FittedLength, Planned } from './planned';

/** What a length of a session is made up of, in milliseconds. */
export interface MakeUp {
  /** Set-ups, changes of sides, getting in and coming out, loosening, rests after sides: what is between the holds. */
  betweenMs: Ms;
  /** The plan's own talk; `keptForTalkMs` is what is kept free beside it. */
  talkMs: Ms;
  keptForTalkMs: Ms;
  /** Holds, rests and breath that are locked. */
  lockedMs: Ms;
  /** Holds, rests and breath that are free, at the lengths in question. */
  freeMs: Ms;
}

/** What a plan at some lengths is made up of: what keeps it from being shorter or longer. */
export function makeUp(
  { plan, library, rules = DEFAULT_RULES }: Planned,
  lengths: readonly FittedLength[],
  talkSeconds: Seconds,
): MakeUp {
  const { phases } = compileTimeline(plan, library, rules);
  const [talk, locked, between] = [{ ms: 0 }, { ms: 0 }, { ms: 0 }];
  for (const { kind, stepIndex, startMs, endMs } of phases) {
    const practised = !['setup', 'switch', 'enter', 'leave', 'rebound', 'loosen', 'move', 'quiet', 'talk'].includes(
      kind,
    );
    const part = kind === 'talk' ? talk : practised ? (plan.steps[stepIndex]?.locked ? locked : undefined) : between;
    if (part) part.ms += endMs - startMs;
  }
  const freeMs = lengths.reduce((sum, { toMs: ms }) => sum + ms, 0);
  return { betweenMs: between.ms, talkMs: talk.ms, keptForTalkMs: toMs(talkSeconds), lockedMs: locked.ms, freeMs };
}
