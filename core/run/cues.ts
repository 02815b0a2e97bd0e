import { ticksOf, tonesOf, type ToneKind, type TonedPhase } from '#core/breath';
import {
  bellsOfGroup,
  breathInHold,
  momentMs,
  type BellKind,
  type TimelineRules,
  type Phase,
  type Timeline,
} from '#core/timeline';
import { toMs, type Ms } from '#core/numbers';
import { advance } from './fold';
import type { Run } from './run';
import { groupAround, phaseAt, type Group } from './queue';

/** A coming bell, tone or prompt, with its moment by the clock if nothing changes before. */
export type Cue =
  | { kind: 'bell'; atMs: Ms; bell: BellKind; stepIndex: number; key: string }
  | { kind: 'prompt'; atMs: Ms; text: string; stepIndex: number; key: string }
  | { kind: 'tone'; atMs: Ms; tone: ToneKind; lengthMs: Ms; stepIndex: number; key: string };

type ToneCue = Extract<Cue, { kind: 'tone' }>;

/** The tones of one breath phase, and the ticks of its counts, that begins at a moment and lasts so long. */
const toneCues = (phase: TonedPhase, stepIndex: number, startMs: Ms, lengthMs: Ms): ToneCue[] =>
  [...tonesOf(phase, lengthMs), ...ticksOf(phase, lengthMs)].map(({ kind, atMs, lengthMs: soundsMs }) => {
    const at = startMs + atMs;
    return { kind: 'tone', atMs: at, tone: kind, lengthMs: soundsMs, stepIndex, key: `${kind}@${at}` };
  });

/** The tones of a breath practice, or of the breath inside a hold, between two moments. */
function tonesBetween(timeline: Timeline, run: Run, group: Group, startMs: Ms, fromMs: Ms, untilMs: Ms): ToneCue[] {
  const cues: ToneCue[] = [];
  const first = phaseAt(timeline, run.queue, group.first);
  if (first?.kind === 'hold') {
    const breath = timeline.steps[first.stepIndex]?.breath;
    if (!breath) return cues;
    const beginMs = startMs + toMs(breath.settleSeconds);
    for (const phase of breathInHold(breath, group.totalMs)) {
      const atMs = beginMs + phase.startMs;
      if (atMs > untilMs) break;
      if (beginMs + phase.endMs >= fromMs)
        cues.push(...toneCues(phase, first.stepIndex, atMs, phase.endMs - phase.startMs));
    }
    return cues;
  }
  let atMs = startMs;
  for (let i = group.first; i < group.end && atMs <= untilMs; i++) {
    const phase = phaseAt(timeline, run.queue, i);
    const ms = run.queue[i]?.ms ?? 0;
    if (phase && 'round' in phase && atMs + ms >= fromMs) cues.push(...toneCues(phase, phase.stepIndex, atMs, ms));
    atMs += ms;
  }
  return cues;
}

/** The prompts of one side of a hold, or of a breath practice, that begins at a moment and lasts so long. */
function promptsOf({ prompts }: Timeline, phase: Phase, startMs: Ms, lengthMs: Ms): Cue[] {
  if (phase.kind !== 'hold' && !('round' in phase)) return [];
  return prompts.flatMap(({ stepIndex, turn, at, text }, i) => {
    const offset = momentMs(at, lengthMs);
    if (stepIndex !== phase.stepIndex || turn !== phase.turn || offset < 0 || offset > lengthMs) return [];
    return { kind: 'prompt', atMs: startMs + offset, text, stepIndex, key: `${phase.index}@${startMs} ${i} ${offset}` };
  });
}

/**
 * The bells, prompts and breath tones from `nowMs` (included) for the next `horizonMs` of a running session, in order
 * of time. A hold's cues move with it: half-way is half of what it has become. Empty for a session that is not running.
 */
export function cuesAhead(rules: TimelineRules, run: Run, nowMs: Ms, horizonMs: Ms): Cue[] {
  const { timeline } = run;
  if (run.status !== 'running') return [];
  const cursor = advance(run.queue, run.cursor, nowMs);
  const untilMs = nowMs + horizonMs;
  const cues: Cue[] = [];
  let group = groupAround(timeline, run.queue, cursor.at);
  let startMs = Math.max(nowMs, run.cursor.clockMs) - cursor.intoMs - group.beforeMs;
  while (group.end > group.first && startMs <= untilMs) {
    const phase = phaseAt(timeline, run.queue, group.first);
    const items = run.queue.slice(group.first, group.end);
    // One that was open and is behind us has ended.
    const isOpen = items.some(({ open }, i) => open && group.first + i >= cursor.at);
    const stretches = items.flatMap(({ phase: index, ms }) => {
      const led = timeline.phases[index];
      return led ? [{ phase: led, ms }] : [];
    });
    const bells = bellsOfGroup(timeline.phases, stretches, startMs, rules, isOpen);
    for (const { atMs, kind, stepIndex } of bells)
      cues.push({ kind: 'bell', atMs, bell: kind, stepIndex, key: `${phase?.index}@${atMs} ${kind}` });
    if (phase) cues.push(...promptsOf(timeline, phase, startMs, group.totalMs));
    cues.push(...tonesBetween(timeline, run, group, startMs, nowMs, untilMs));
    // What continues until it is ended has no end to ring, and when what follows begins is not known.
    if (isOpen) break;
    startMs += group.totalMs;
    group = groupAround(timeline, run.queue, group.end);
  }
  return cues.filter(({ atMs }) => atMs >= nowMs && atMs <= untilMs).sort((a, b) => a.atMs - b.atMs);
}
