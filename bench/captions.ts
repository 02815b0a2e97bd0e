import { classReader, spokenEntries, spokenWords, type CaptionCue } from '#core/exchange';
import { seeded } from '#core/numbers';
import { POSITIONS, TECHNIQUES } from '#library';
import { ENGLISH } from '#library/captions';
import { spokenWaysIn } from '#library/captions/sayings';
import { alsoCalled } from '#library/synonyms';
import { msFigure, percentile, timed, type Figure } from './measure';

/** What a teacher who talks all the time says between what matters: of these so many words a second. */
const TALK = (
  'let the breath come and go as it likes and notice where the body meets the floor today there is nothing to do ' +
  'and nowhere to be if the mind wanders that is what minds do just bring it back to the sound of the rain on the roof ' +
  'my teacher used to tell us that patience is a muscle and some evenings it is rather a short one maybe you feel ' +
  'something in the outer hip or along the back of the thigh and if it is sharp bend the knee a little and use a cushion'
).split(' ');
const WORDS_A_SECOND = 1.9;
const HOLD_SECONDS = 200;
const SECONDS = 3600;

/**
 * An hour of nine positions on both sides, with all that leads into them and out of them.
 * @param talkShare how much of each hold is talked through, from 0 to 1; the rest of it is silent
 */
function hourOf(talkShare: number): CaptionCue[] {
  const random = seeded(7);
  const cues: CaptionCue[] = [];
  let atMs = 0;
  const say = (text: string): void => {
    const endMs = atMs + (text.split(' ').length / WORDS_A_SECOND) * 1000;
    cues.push({ startMs: Math.round(atMs), endMs: Math.round(endMs), text });
    atMs = endMs;
  };
  const talk = (seconds: number): void => {
    const untilMs = atMs + seconds * 1000;
    while (atMs < untilMs) {
      const from = Math.floor(random() * TALK.length);
      say(TALK.slice(from, from + 8).join(' '));
    }
  };
  const sided = POSITIONS.filter(({ sides }) => sides === 'each');
  for (let i = 0; atMs < SECONDS * 1000; i++) {
    const { names, waysIn } = sided[(i * 7) % sided.length] ?? sided[0] ?? POSITIONS[0]!;
    for (const side of ['left', 'right']) {
      say(side === 'left' ? `Next we come into ${names.english}, left side.` : 'And now the other side, right leg.');
      for (const sentence of waysIn) say(sentence);
      say('Stay here for three minutes.');
      talk(HOLD_SECONDS * talkShare);
      atMs += HOLD_SECONDS * (1 - talkShare) * 1000;
      say('Slowly come out of it.');
    }
  }
  return cues;
}

/** Hours of captions read from their words, with what is doubtful: a usual one, and one that never falls silent. */
export function benchCaptions(): Figure[] {
  const entries = spokenEntries({ positions: POSITIONS, techniques: TECHNIQUES, alsoCalled, spokenWaysIn });
  const read = classReader(entries, ENGLISH);
  const figure = (what: string, talkShare: number, barMs: number): Figure => {
    const { words } = spokenWords(hourOf(talkShare));
    const times = timed(20, () => read(words));
    return msFigure(`${what}, ${words.length} words`, percentile(times, 0.5), barMs);
  };
  return [figure('captions of an hour', 0.3, 300), figure('captions of an hour without a pause', 1, 500)];
}
