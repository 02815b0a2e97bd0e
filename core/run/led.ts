import type { Phase, Timeline } from '#core/timeline';
import type { Ms } from '#core/numbers';
import { ledSpans } from './fold';
import type { Run } from './run';

/**
 * A session as it really lies in time: what was led, where the clock put it, then what is still to come from where it
 * stands now. Milliseconds from the start; pauses are gaps. For a session that ended, only what was led.
 */
export function ledPhases(run: Run): Phase[] {
  const { timeline, startedAtMs: startMs } = run;
  if (startMs === null) return [...timeline.phases];
  const done = ledSpans(run).map(({ phase, fromMs, toMs }) => lay(timeline, phase, fromMs - startMs, toMs - startMs));
  if (run.status === 'ended') return done;
  const { at, intoMs, clockMs } = run.cursor;
  let nowMs: Ms = clockMs - startMs;
  const coming = run.queue.slice(at).map(({ phase, ms }, i) => {
    const from = nowMs;
    nowMs += i === 0 ? ms - intoMs : ms;
    return lay(timeline, phase, from, nowMs);
  });
  return [...done, ...coming];
}

const lay = (timeline: Timeline, phase: number, startMs: Ms, endMs: Ms): Phase => ({
  ...(timeline.phases[phase] as Phase),
  startMs,
  endMs,
});
