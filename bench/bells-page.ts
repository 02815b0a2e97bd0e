/// <reference lib="dom" />
import { cuesAhead, foldRun } from '#core/run';
import { compileTimeline, DEFAULT_RULES } from '#core/timeline';
import { builtInLibrary } from '#library';
import { ringBell } from '../web/widgets/sound/bell';
import { longPlan } from './compile';

const SAMPLES = 8000;
const MINUTES = 90;
/** The audio clock goes on by blocks of so many seconds. */
const BLOCK = 128 / 44_100;
const HORIZON_MS = 2500;
const SLACK_MS = 400;

/**
 * Ninety minutes of bells, scheduled as a session does it (by ticks that come late and unevenly, on an audio clock that
 * goes by blocks) and rendered; gives how far each bell's first sound lies from its moment in the plan, in
 * milliseconds.
 */
export async function renderedBells(): Promise<number[]> {
  const timeline = compileTimeline(longPlan(30), builtInLibrary);
  const run = foldRun(timeline, [{ id: 'event-start', atMs: 0, kind: 'started' }]);
  const endMs = Math.min(timeline.totals.totalMs, MINUTES * 60_000);
  const audio = new OfflineAudioContext(1, (endMs / 1000 + 10) * SAMPLES, SAMPLES);
  const scheduled = new Map<string, number>();
  let seed = 7;
  const random = (): number => (seed = (seed * 16_807) % 2_147_483_647) / 2_147_483_647;
  for (let nowMs = 0; nowMs < endMs; nowMs += 200 + (random() < 0.1 ? random() * 1800 : random() * 30)) {
    const audioNow = Math.floor(nowMs / 1000 / BLOCK) * BLOCK;
    for (const cue of cuesAhead(DEFAULT_RULES, run, Math.round(nowMs) - SLACK_MS, HORIZON_MS + SLACK_MS)) {
      if (cue.kind !== 'bell' || scheduled.has(cue.key) || cue.atMs > endMs) continue;
      const at = audioNow + Math.max(0, cue.atMs - nowMs) / 1000;
      scheduled.set(cue.key, cue.atMs);
      ringBell(audio, audio.destination, cue.bell, at, { sort: 'wood', pitch: 1, length: 1 });
    }
  }
  const sound = (await audio.startRendering()).getChannelData(0);
  return [...scheduled.values()].map((atMs) => {
    const from = Math.max(0, Math.round(((atMs - 100) / 1000) * SAMPLES));
    const found = sound.subarray(from, from + 0.3 * SAMPLES).findIndex((sample) => Math.abs(sample) > 0.002);
    return found < 0 ? Infinity : Math.abs(((from + found) / SAMPLES) * 1000 - atMs);
  });
}
