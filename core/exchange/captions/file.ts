import type { CaptionsFileFormat } from 'media-captions';
import type { CaptionCue } from './write';

/** Longer than any class. */
const LONGEST_MS = 4 * 3_600_000;
/** Cues may be a little out of order where two people speak; a clock that goes further back is another clock. */
const CLOCK_BACK_MS = 60_000;

/** The cues of a captions file in order of time, with what could not be read. */
export interface CaptionsFile {
  cues: CaptionCue[];
  /** How many cues had no times that can be read, or ended before they began. */
  unreadable: number;
}
/** What a file is, when it is not the captions of one class. */
export type CaptionsProblem = 'no captions' | 'no words' | 'clock runs back' | 'too long';

const formatOf = (text: string): CaptionsFileFormat => (/^\uFEFF?WEBVTT(?:[ \t\r\n]|$)/.test(text) ? 'vtt' : 'srt');
const arrows = (text: string): number => text.match(/^[^\S\n]*[\d:.,]+[^\S\n]*-->/gm)?.length ?? 0;
/** Times as both formats write them strictly: some programs leave blanks out, or take a dot for the comma. */
const tidied = (text: string): string =>
  text
    .replace(/^\uFEFF/, '')
    .replace(/\r\n?/g, '\n')
    .replace(/^([\d:.,]+)[^\S\n]*-->[^\S\n]*([\d:.,]+)/gm, '$1 --> $2');

/**
 * Reads a captions file, WebVTT (W3C) or SubRip, through `media-captions`; mark-up stays in the text of the cues.
 * @returns the cues with their moments in milliseconds, or what the file is instead
 */
export async function readCaptionsFile(text: string): Promise<CaptionsFile | CaptionsProblem> {
  const clean = tidied(text);
  const expected = arrows(clean);
  if (expected === 0) return 'no captions';
  // Loaded when it is needed: only few who hand something over bring captions.
  const { parseText } = await import('media-captions');
  const parsed = await parseText(clean, { type: formatOf(clean), strict: false, errors: true });
  const cues = parsed.cues.map(({ startTime, endTime, text: words }) => ({
    startMs: Math.round(startTime * 1000),
    endMs: Math.round(endTime * 1000),
    text: words,
  }));
  if (cues.every((cue) => cue.text.trim() === '')) return 'no words';
  let latest = 0;
  for (const { startMs } of cues) {
    if (startMs < latest - CLOCK_BACK_MS) return 'clock runs back';
    latest = Math.max(latest, startMs);
  }
  cues.sort((a, b) => a.startMs - b.startMs || a.endMs - b.endMs);
  const first = cues[0]?.startMs ?? 0;
  if (latest - first > LONGEST_MS) return 'too long';
  return { cues, unreadable: Math.max(0, expected - cues.length) };
}
