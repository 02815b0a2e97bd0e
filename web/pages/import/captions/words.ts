import type { ClassSegment, Doubt, Reason, SegmentKind } from '#core/exchange';
import { clockOfMs } from '#core/time';
import type { CaptionsRead } from '../../../workers/captions';

type Problem = Extract<CaptionsRead, { ok: false }>['problem'];

/** What a file is, when it is not the captions of one class. */
export const PROBLEM_WORDS: Record<Problem, string> = {
  'no captions': 'These are no captions: there are no times in this file.',
  'no words': 'There are no spoken words in these captions.',
  'clock runs back':
    'The times of these captions run backwards. Two classes may be in one file: save each on its own and open them one by one.',
  'too long': 'These captions cover more than 4 hours. Save one class on its own and open that.',
};

export const KIND_WORDS: Record<SegmentKind, string> = {
  talk: 'Talk',
  shown: 'Shown',
  in: 'Going in',
  hold: 'Hold',
  out: 'Coming out',
  rest: 'Rest',
  breath: 'Breath',
};

const DOUBT_WORDS: Record<Doubt, string> = {
  whether: 'whether it is a hold',
  name: 'the name',
  side: 'the side',
  end: 'the end',
};
/** What is to be checked of a segment: `Please check the name and the side.` Empty where nothing is. */
export function doubtsInWords(doubts: readonly Doubt[]): string {
  if (doubts.length === 0) return '';
  const words = doubts.map((doubt) => DOUBT_WORDS[doubt]);
  const last = words.pop() ?? '';
  return `Please check ${words.length === 0 ? last : `${words.join(', ')} and ${last}`}.`;
}

/** The words a segment stands on: `“other side” at 4:31; “left” at 4:45`. */
export const becauseInWords = (because: readonly Reason[]): string =>
  because.map(({ words, atMs }) => `“${words}” at ${clockOfMs(atMs)}`).join('; ');

/** What was held, for the screen: `Head to knee, left`. */
export const heldInWords = (name: string, side: ClassSegment['side']): string =>
  side === 'both' ? name : `${name}, ${side}`;

const MIN_SHORT_MS = 5000;
/** The sentence that matters: `Right sides ran 0:52 short in total.` */
export function sidesInWords({ left, right }: { left: number; right: number }): string {
  if (left === 0 && right === 0) return '';
  const short = Math.abs(left - right);
  if (short < MIN_SHORT_MS) return 'Both sides were as long as each other.';
  return `${left < right ? 'Left' : 'Right'} sides ran ${clockOfMs(short)} short in total.`;
}

/** How long a hold was announced to be, where that is not how long it was. */
export function announcedInWords({ announced, startMs, endMs }: ClassSegment): string {
  if (!announced) return '';
  const { least, most } = announced;
  const range = least === most ? clockOfMs(least * 1000) : `${clockOfMs(least * 1000)} to ${clockOfMs(most * 1000)}`;
  const seconds = (endMs - startMs) / 1000;
  const off = seconds < least ? seconds - least : seconds > most ? seconds - most : 0;
  if (Math.abs(off) < 10) return `${range}, as announced`;
  return `announced ${range}: ${clockOfMs(Math.abs(off) * 1000)} ${off < 0 ? 'shorter' : 'longer'}`;
}

const counted = (n: number, one: string, more: string): string => (n === 0 ? '' : `${n} ${n === 1 ? one : more}`);
/** How much was found: `8 holds and 1 breath practice`. */
export function foundInWords(held: readonly Pick<ClassSegment, 'kind'>[]): string {
  const holds = held.filter(({ kind }) => kind === 'hold').length;
  const breaths = held.length - holds;
  return [counted(holds, 'hold', 'holds'), counted(breaths, 'breath practice', 'breath practices')]
    .filter(Boolean)
    .join(' and ');
}
