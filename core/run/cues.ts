import { tonesOf, type ToneKind, type TonedPhase } from '#core/breath';
import { breathInHold, momentMs, type BellKind, type HouseRules, type Phase, type Timeline } from '#core/timeline';
import { toMs, type Ms } from '#core/time';
import { advance } from './fold';
import type { Run } from './run';
import { groupAround, type Group } from './queue';

/** Something that will sound or be said, and when by the clock if nothing changes before. */
export type Cue =
  | { kind: 'bell'; atMs: Ms; bell: BellKind; stepIndex: number; key: string }
  | { kind: 'prompt'; atMs: Ms; text: string; stepIndex: number; key: string }
  | { kind: 'tone'; atMs: Ms; tone: ToneKind; lengthMs: Ms; stepIndex: number; key: string };

type ToneCue = Extract<Cue, { kind: 'tone' }>;

/** The tones of one breath phase that begins at a moment and lasts so long. */
const toneCues = (phase: TonedPhase, stepIndex: number, startMs: Ms, lengthMs: Ms): ToneCue[] =>
  tonesOf(phase, lengthMs).map(({ kind, atMs, lengthMs: soundsMs }) => {
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

const phaseAt = (timeline: Timeline, queue: Run['queue'], at: number): Phase | undefined => {
  const item = queue[at];
  return item && timeline.phases[item.phase];
};

/** So long before its end a hold is told to end, where it is long enough for that to be of use. */
const SOON_MS = 15_000;
const WORTH_TELLING_MS = 60_000;

/** The bells of a hold's stages that begin with something to be put down or taken away. */
function stageBells({ timeline, queue }: Run, rules: HouseRules, group: Group, startMs: Ms): Cue[] {
  const cues: Cue[] = [];
  let atMs = startMs;
  for (let i = group.first; i < group.end; i++) {
    const phase = phaseAt(timeline, queue, i);
    if (rules.bells.props && phase?.kind === 'hold' && phase.stage && phase.stage.moves.length > 0)
      cues.push({ kind: 'bell', atMs, bell: 'props', stepIndex: phase.stepIndex, key: `${phase.index}@${atMs} props` });
    atMs += queue[i]?.ms ?? 0;
  }
  return cues;
}

function cuesOfGroup(
  timeline: Timeline,
  rules: HouseRules,
  phase: Phase,
  startMs: Ms,
  lengthMs: Ms,
  isOpen: boolean,
): Cue[] {
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
    if (!isOpen) bell(more ? 'switch' : 'end', startMs + lengthMs);
    if (!isOpen && lengthMs >= WORTH_TELLING_MS) bell('soon', startMs + lengthMs - SOON_MS);
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
  else if (phase.kind === 'setup' && phase.moves.length > 0) bell('props', startMs);
  return cues;
}

/**
 * The bells, prompts and breath tones from `nowMs` (included) for the next `horizonMs` of a running session, in order of time.
 * A hold's cues move with it: half-way is half of what it has become. Empty for a session that is not running.
 */
export function cuesAhead(rules: HouseRules, run: Run, nowMs: Ms, horizonMs: Ms): Cue[] {
  const { timeline } = run;
  if (run.status !== 'running') return [];
  const cursor = advance(run.queue, run.cursor, nowMs);
  const untilMs = nowMs + horizonMs;
  const cues: Cue[] = [];
  let group = groupAround(timeline, run.queue, cursor.at);
  let startMs = Math.max(nowMs, run.cursor.clockMs) - cursor.intoMs - group.beforeMs;
  while (group.end > group.first && startMs <= untilMs) {
    const phase = phaseAt(timeline, run.queue, group.first);
    const isOpen = run.queue.slice(group.first, group.end).some(({ open }) => open);
    if (phase) cues.push(...cuesOfGroup(timeline, rules, phase, startMs, group.totalMs, isOpen));
    cues.push(...stageBells(run, rules, group, startMs));
    cues.push(...tonesBetween(timeline, run, group, startMs, nowMs, untilMs));
    // What goes on until it is ended has no end to ring, and when what follows begins is not known.
    if (isOpen) break;
    startMs += group.totalMs;
    group = groupAround(timeline, run.queue, group.end);
  }
  return cues.filter(({ atMs }) => atMs >= nowMs && atMs <= untilMs).sort((a, b) => a.atMs - b.atMs);
}
