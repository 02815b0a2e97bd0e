import { momentMs, type BellKind, type HouseRules, type Phase, type Timeline } from '#core/timeline';
import type { Ms } from '#core/time';
import { advance, type Run } from './fold';
import { groupAround } from './queue';

/** Something that will sound or be said, and when by the clock if nothing changes before. */
export type Cue =
  | { kind: 'bell'; atMs: Ms; bell: BellKind; stepIndex: number; key: string }
  | { kind: 'prompt'; atMs: Ms; text: string; stepIndex: number; key: string };

function cuesOfGroup(timeline: Timeline, rules: HouseRules, phase: Phase, startMs: Ms, lengthMs: Ms): Cue[] {
  const { stepIndex } = phase;
  const cues: Cue[] = [];
  const key = `${phase.index}@${startMs}`;
  const bell = (kind: BellKind, atMs: Ms): void => {
    if (rules.bells[kind]) cues.push({ kind: 'bell', atMs, bell: kind, stepIndex, key: `${key} ${kind}` });
  };
  if (phase.kind === 'hold') {
    const span = timeline.steps[stepIndex];
    const more = timeline.phases
      .slice(phase.index + 1, span?.endPhase)
      .some((later) => later.kind === 'hold' && later.turn > phase.turn);
    bell('start', startMs);
    bell('half', startMs + Math.round(lengthMs / 2));
    bell(more ? 'switch' : 'end', startMs + lengthMs);
    for (const { stepIndex: of, turn, at, text } of timeline.prompts) {
      if (of !== stepIndex || turn !== phase.turn) continue;
      const offset = momentMs(at, lengthMs);
      if (offset < 0 || offset > lengthMs) continue;
      cues.push({ kind: 'prompt', atMs: startMs + offset, text, stepIndex, key: `${key} ${text} ${offset}` });
    }
  } else if ('round' in phase) {
    bell('start', startMs);
    bell('end', startMs + lengthMs);
  } else if (phase.kind === 'rest') bell('end', startMs + lengthMs);
  return cues;
}

/**
 * The bells and prompts from `nowMs` (included) for the next `horizonMs` of a running session, in order of time.
 * A hold's cues move with it: half-way is half of what it has become. Empty for a session that is not running.
 */
export function cuesAhead(timeline: Timeline, rules: HouseRules, run: Run, nowMs: Ms, horizonMs: Ms): Cue[] {
  if (run.status !== 'running') return [];
  const cursor = advance(run.queue, run.cursor, nowMs);
  const untilMs = nowMs + horizonMs;
  const cues: Cue[] = [];
  let group = groupAround(timeline, run.queue, cursor.at);
  let startMs = Math.max(nowMs, run.cursor.clockMs) - cursor.intoMs - group.beforeMs;
  while (group.end > group.first && startMs <= untilMs) {
    const item = run.queue[group.first];
    const phase = item && timeline.phases[item.phase];
    if (phase) cues.push(...cuesOfGroup(timeline, rules, phase, startMs, group.totalMs));
    startMs += group.totalMs;
    group = groupAround(timeline, run.queue, group.end);
  }
  return cues.filter(({ atMs }) => atMs >= nowMs && atMs <= untilMs).sort((a, b) => a.atMs - b.atMs);
}
