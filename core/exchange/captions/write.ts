import { ticksOf, type TonedPhase } from '#core/breath';
import type { Library } from '#core/catalogue';
import type { Ms } from '#core/numbers';
import type { Plan } from '#core/plan';
import { scriptOf } from '#core/script';
import type { Timeline } from '#core/timeline';

/** A cue of a captions file: from when to when it stands, in milliseconds from the beginning of the film. */
export interface CaptionCue {
  startMs: Ms;
  endMs: Ms;
  text: string;
}

/** Reading at ease, two words a second, and a moment to begin. Our own rule of thumb. */
const readingMs = (text: string): Ms => 1500 + 500 * text.split(/\s+/).length;

/** Cues later (or, below zero, earlier) by an offset; what would be over before the film begins is left out. */
const moved = (cues: readonly CaptionCue[], offsetMs: Ms): CaptionCue[] =>
  cues.flatMap(({ startMs, endMs, text }) => {
    const [from, to] = [Math.max(0, startMs + offsetMs), endMs + offsetMs];
    return to > from ? [{ startMs: from, endMs: to, text }] : [];
  });

/**
 * What is said in a plan, as captions: everything of one moment is one cue, which stands until it is read or the next
 * one comes. The teacher’s notes are not in it.
 * @param offsetMs how much later the class begins in the film than the film does; below zero, earlier
 */
export function captionsOf(plan: Plan, timeline: Timeline, library: Library, offsetMs: Ms = 0): CaptionCue[] {
  const moments = new Map<Ms, string[]>();
  for (const { atMs, part, text } of scriptOf(plan, timeline, library)) {
    if (part !== 'note') moments.set(atMs, [...(moments.get(atMs) ?? []), text]);
  }
  const inOrder = [...moments].sort(([a], [b]) => a - b);
  const cues = inOrder.map(([startMs, lines], i) => {
    const text = lines.join('\n');
    const next = inOrder[i + 1]?.[0] ?? timeline.totals.totalMs;
    return { startMs, endMs: Math.max(startMs, Math.min(next, startMs + readingMs(text))), text };
  });
  return moved(cues, offsetMs);
}

/** The steps of a plan as chapters, each until the next one begins; the others as in `captionsOf`. */
export const chaptersOf = (plan: Plan, timeline: Timeline, offsetMs: Ms = 0): CaptionCue[] =>
  moved(
    timeline.steps.map(({ stepIndex, startMs, endMs }) => ({
      startMs,
      endMs,
      text: plan.steps[stepIndex]?.name ?? '',
    })),
    offsetMs,
  );

const QUARTER_WORDS = { in: 'In', holdFull: 'Hold', out: 'Out', holdEmpty: 'Hold empty' } as const;

/** The counts of one phase of a breath that begins at a moment: `In 1`, `In 2`; nothing where nothing is counted. */
function countsOfPhase(phase: TonedPhase, startMs: Ms, lengthMs: Ms): CaptionCue[] {
  if (!('counts' in phase)) return [];
  const ticks = ticksOf(phase, lengthMs);
  return ticks.map(({ atMs }, i) => ({
    startMs: startMs + atMs,
    endMs: startMs + (ticks[i + 1]?.atMs ?? lengthMs),
    text: `${QUARTER_WORDS[phase.kind]} ${i + 1}`,
  }));
}

/** Every count of every counted breath of a plan, as a track of its own; moments as in `captionsOf`. */
export function breathCountsOf(timeline: Timeline, offsetMs: Ms = 0): CaptionCue[] {
  const practised = timeline.phases.flatMap((phase) =>
    'round' in phase ? countsOfPhase(phase, phase.startMs, phase.endMs - phase.startMs) : [],
  );
  const inHolds = timeline.breaths.flatMap(({ startMs, phases }) =>
    phases.flatMap((phase) => countsOfPhase(phase, startMs + phase.startMs, phase.endMs - phase.startMs)),
  );
  return moved(
    [...practised, ...inHolds].sort((a, b) => a.startMs - b.startMs),
    offsetMs,
  );
}

const pad = (n: number, places: number): string => String(n).padStart(places, '0');
/** A moment as WebVTT writes it: `01:02:03.450`. */
const vttTime = (ms: Ms): string =>
  `${pad(Math.floor(ms / 3_600_000), 2)}:${pad(Math.floor(ms / 60_000) % 60, 2)}:${pad(Math.floor(ms / 1000) % 60, 2)}.${pad(ms % 1000, 3)}`;

/** Text as a cue holds it: no mark-up, and no empty line, which would end the cue. */
const vttText = (text: string): string =>
  text
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .split(/\r\n|\r|\n/)
    .filter((line) => line.trim() !== '')
    .join('\n');

/** A WebVTT file (W3C, WebVTT: The Web Video Text Tracks Format) of some cues, under a title. Cues without text are left out. */
export function webVtt(title: string, cues: readonly CaptionCue[]): string {
  const name = title.replace(/\s+/g, ' ').replaceAll('-->', '→').trim();
  const written = cues
    .map(({ startMs, endMs, text }) => ({ startMs, endMs, text: vttText(text) }))
    .filter(({ text }) => text !== '')
    .map(({ startMs, endMs, text }) => `${vttTime(startMs)} --> ${vttTime(endMs)}\n${text}\n`);
  return [`WEBVTT${name ? ` ${name}` : ''}\n`, ...written].join('\n');
}
