import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readCaptionsFile } from './file';
import { webVtt, type CaptionCue } from './write';

const cues = async (text: string): Promise<[number, number, string][] | string> => {
  const file = await readCaptionsFile(text);
  return typeof file === 'string' ? file : file.cues.map(({ startMs, endMs, text: words }) => [startMs, endMs, words]);
};

describe('captions files', () => {
  test.each([
    ['WebVTT', 'WEBVTT Evening\n\nNOTE for nobody\n\n00:01.000 --> 00:02.500\nStay.\n'],
    ['WebVTT with settings and a mark', '\uFEFFWEBVTT\n\n1\n00:00:01.000 --> 00:00:02.500 align:start\nStay.\n'],
    ['SubRip', '1\r\n00:00:01,000 --> 00:00:02,500\r\nStay.\r\n'],
    ['SubRip with dots and without blanks', '1\n00:00:01.000-->00:00:02.500\nStay.\n'],
  ])('%s', async (_, text) => {
    expect(await cues(text)).toEqual([[1000, 2500, 'Stay.']]);
  });

  test.each([
    ['eggs\nflour\nmilk', 'no captions'],
    ['WEBVTT\n', 'no captions'],
    ['WEBVTT\n\n00:01.000 --> 00:02.000\n \n', 'no words'],
    ['WEBVTT\n\n10:00.000 --> 10:02.000\nA\n\n00:01.000 --> 00:02.000\nB\n', 'clock runs back'],
    ['WEBVTT\n\n00:00:01.000 --> 00:00:02.000\nA\n\n05:00:00.000 --> 05:00:02.000\nB\n', 'too long'],
  ])('%j is %s', async (text, problem) => {
    expect(await cues(text)).toBe(problem);
  });

  test('what cannot be read is counted, and the rest is read in order', async () => {
    const text =
      'WEBVTT\n\n00:05.000 --> 00:06.000\nlater\n\n00:04.000 --> 00:04.500\nearlier\n\n00:09.000 --> 00:08.000\nbackwards\n';
    expect(await readCaptionsFile(text)).toEqual({
      cues: [
        { startMs: 4000, endMs: 4500, text: 'earlier' },
        { startMs: 5000, endMs: 6000, text: 'later' },
      ],
      unreadable: 1,
    });
  });

  test('captions that are written here come back; and no text whatever makes it fail', async () => {
    const words = fc.array(fc.constantFrom('left', 'stay', 'four', 'knee'), { minLength: 1, maxLength: 6 });
    await fc.assert(
      fc.asyncProperty(fc.array(words, { minLength: 1, maxLength: 8 }), async (spoken) => {
        const written = spoken.map((text, i): CaptionCue => {
          const startMs = i * 5000 + 123;
          return { startMs, endMs: startMs + 2001, text: text.join(' ') };
        });
        const file = await readCaptionsFile(webVtt('A class', written));
        expect(file).toEqual({ cues: written, unreadable: 0 });
      }),
    );
    await fc.assert(
      fc.asyncProperty(fc.string(), fc.string(), async (a, b) => {
        const file = await readCaptionsFile(`${a}\n00:01.000 --> 00:02.000\n${b}`);
        expect(['string', 'object']).toContain(typeof file);
      }),
    );
  });
});
