import { beforeEach, expect, test } from '@jest/globals';
import { fakeAudio, type Tone } from '../../../tests/support/audio';
import { makeSounds, type Play } from './sounds';

let now = 0;
let tones: Tone[] = [];
beforeEach(() => {
  now = 10;
  tones = fakeAudio(() => now);
});
/** One tone of half a second. */
const tone: Play = (audio, out, at) => {
  const one = audio.createOscillator();
  one.connect(out);
  one.start(at);
  one.stop(at + 0.5);
  return [one];
};

test('nothing sounds before the page was touched', async () => {
  const sounds = makeSounds();
  sounds.schedule('bell', 100, tone);
  expect([sounds.isAwake(), tones]).toEqual([false, []]);
  expect(await sounds.wake()).toBe(true);
  sounds.schedule('bell', 100, tone);
  expect(tones.map(({ from }) => from)).toEqual([10.1]);
});

test('a sound is scheduled once for its key, and one that is overdue begins now, never in the past', async () => {
  const sounds = makeSounds();
  await sounds.wake();
  sounds.schedule('a', 500, tone);
  sounds.schedule('a', 900, tone);
  sounds.schedule('late', -3000, tone);
  expect(tones.map(({ from }) => from)).toEqual([10.5, 10]);
});

test('what has not begun is taken back and can be scheduled anew; what sounds goes on', async () => {
  const sounds = makeSounds();
  await sounds.wake();
  sounds.schedule('sounding', 0, tone);
  sounds.schedule('coming', 2000, tone);
  now = 10.2;
  sounds.cancelComing();
  // Stopped before it began, a tone is never heard; the other ends when it was to.
  expect(tones.map(({ from, until }) => [from, until])).toEqual([[10, 10.5]]);
  sounds.schedule('coming', 1000, tone);
  sounds.schedule('sounding', 1000, tone);
  expect(tones.map(({ from }) => from)).toEqual([10, 11.2]);
});

test('silence ends everything, or only what is meant', async () => {
  const sounds = makeSounds();
  await sounds.wake();
  for (const key of ['breath 1', 'breath 2', 'bell']) sounds.schedule(key, 1000, tone);
  sounds.silence((key) => key.startsWith('breath'));
  expect(tones).toHaveLength(1);
  sounds.silence();
  expect(tones).toEqual([]);
});

test('without Web Audio nothing sounds and nothing fails', async () => {
  Reflect.deleteProperty(globalThis, 'AudioContext');
  const sounds = makeSounds();
  expect(await sounds.wake()).toBe(false);
  sounds.setVolume(0.3);
  sounds.schedule('bell', 0, tone);
  sounds.silence();
  sounds.close();
  expect(tones).toEqual([]);
});
