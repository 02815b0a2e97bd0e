import { readFileSync } from 'node:fs';
import { webVtt, type CaptionCue } from '#core/exchange';

/** What was led in a sample class, as its writer knows it. */
export interface LedHold {
  id: string;
  side: 'left' | 'right' | 'both';
  startMs: number;
  endMs: number;
}
export interface SpokenClass {
  title: string;
  form: string;
  holds: LedHold[];
  breaths: { id: string; rounds: number; counts: number[] }[];
  announced: { id: string; seconds: number }[];
  /** The file as a program would write it. */
  file: string;
}

const msOf = (clock: string): number => {
  const [minutes = 0, seconds = 0] = clock.split(':').map(Number);
  return (minutes * 60 + seconds) * 1000;
};
const SECONDS_A_WORD = 0.38;

/** Times as SubRip has them. */
const srtTime = (ms: number): string => new Date(ms).toISOString().slice(11, 23).replace('.', ',');
const srt = (cues: readonly CaptionCue[]): string =>
  cues
    .map(({ startMs, endMs, text }, i) => `${i + 1}\r\n${srtTime(startMs)} --> ${srtTime(endMs)}\r\n${text}\r\n`)
    .join('\r\n');
const unpunctuated = (text: string): string =>
  text
    .replace(/[.,!?:;…]/g, '')
    .toLowerCase()
    .trim();

/** Words in pieces of so many, spread over the time of a cue. */
const pieces = ({ startMs, endMs, text }: CaptionCue, size: number): CaptionCue[] => {
  const words = text.split(/\s+/).filter(Boolean);
  const each = (endMs - startMs) / words.length;
  return Array.from({ length: Math.ceil(words.length / size) }, (_, i) => ({
    startMs: Math.round(startMs + i * size * each),
    endMs: Math.round(Math.min(endMs, startMs + (i + 1) * size * each)),
    text: words.slice(i * size, (i + 1) * size).join(' '),
  }));
};

const FORMS: Readonly<Record<string, (title: string, cues: CaptionCue[]) => string>> = {
  lines: webVtt,
  srt: (_, cues) => srt(cues),
  words: (title, cues) =>
    webVtt(
      title,
      cues.flatMap((cue) => pieces({ ...cue, text: unpunctuated(cue.text) }, 1)),
    ),
  'run-on': (title, cues) =>
    webVtt(
      title,
      cues.flatMap((cue) => pieces({ ...cue, text: unpunctuated(cue.text) }, 7)),
    ),
  // Two lines that roll up: each line stands once below and once above, and between them for a hundredth of a second.
  rolling: (title, cues) => {
    const lines = cues.flatMap((cue) => pieces({ ...cue, text: unpunctuated(cue.text) }, 6));
    return webVtt(
      title,
      lines.flatMap((line, i) => {
        const above = lines[i - 1]?.text;
        const endMs = Math.max(line.endMs, lines[i + 1]?.startMs ?? line.endMs);
        return [
          { ...line, endMs: endMs - 10, text: above === undefined ? line.text : `${above}\n${line.text}` },
          { startMs: endMs - 10, endMs, text: line.text },
        ];
      }),
    );
  },
  overlapping: (title, cues) =>
    webVtt(
      title,
      cues.map((cue) => ({ ...cue, endMs: cue.endMs + 4000, text: `${cue.text} [birds]` })),
    ),
  // Speakers stand as voice tags, or as a name and a colon in the text.
  speakers: (title, cues) => webVtt(title, cues).replace(/&lt;v (\w+)&gt;/g, '<v $1>'),
};

/** Reads a sample class and writes its captions in the form it names. */
export function spokenClass(path: string): SpokenClass {
  const text = readFileSync(path, 'utf8');
  const [head = '', spoken = ''] = text.split(/^said:\n/m);
  const field = (name: string): string => new RegExp(`^${name}: (.*)$`, 'm').exec(head)?.[1] ?? '';
  const list = (name: string): string[] =>
    (new RegExp(`^${name}:\\n((?:(?![a-z]+:).+\\n)*)`, 'm').exec(head)?.[1] ?? '').split('\n').filter(Boolean);
  const holds = list('led')
    .filter((line) => /^\d/.test(line))
    .map((line): LedHold => {
      const [, from = '', to = '', id = '', side = 'both'] = /^(\S+?)-(\S+) (\S+)(?: (\w+))?$/.exec(line) ?? [];
      return { id, side: side as LedHold['side'], startMs: msOf(from), endMs: msOf(to) };
    });
  const lines = spoken
    .trim()
    .split('\n')
    .map((line) => {
      const [, at = '', words = ''] = /^(\S+) (.*)$/.exec(line) ?? [];
      return { startMs: msOf(at), words };
    });
  const cues = lines.map(({ startMs, words }, i): CaptionCue => {
    const quietMs = startMs + Math.round(words.split(/\s+/).length * SECONDS_A_WORD * 1000) + 300;
    return { startMs, endMs: Math.min(quietMs, lines[i + 1]?.startMs ?? quietMs), text: words };
  });
  const form = field('form');
  return {
    title: field('title'),
    form,
    holds,
    breaths: list('breath').map((line) => {
      const [id = '', rounds = '', counts = ''] = line.split(' ');
      return { id, rounds: Number(rounds), counts: counts.split('-').map(Number) };
    }),
    announced: list('announced').map((line) => {
      const [id = '', clock = ''] = line.split(' ');
      return { id, seconds: msOf(clock) / 1000 };
    }),
    file: FORMS[form]!(field('title'), cues),
  };
}
