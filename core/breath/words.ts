import { stepsOf } from './lengths';
import type {
  BreathLock,
  BreathPart,
  BreathPlace,
  BreathSound,
  BreathSteps,
  CyclePart,
  OutDirection,
  Quarter,
  Through,
} from './parts';
import type { BreathPractice } from './practice';
import type { BreathSet } from './set';

export const THROUGH_WORDS: Record<Through, string> = {
  nose: 'nose',
  left: 'left nostril',
  right: 'right nostril',
  mouth: 'mouth',
};
export const SOUND_WORDS: Record<BreathSound, string> = {
  none: 'no sound',
  throat: 'throat sound',
  hum: 'humming',
  hiss: 'hissing',
  voice: 'voiced',
};
export const PLACE_WORDS: Record<BreathPlace, string> = {
  belly: 'belly',
  sideRibs: 'side ribs',
  backRibs: 'back ribs',
  upperChest: 'upper chest',
};
export const LOCK_WORDS: Record<BreathLock, string> = { root: 'root lock', belly: 'belly lock', chin: 'chin lock' };
/** Where an out-breath begins. */
export const OUT_WORDS: Record<OutDirection, string> = {
  fromAbove: 'out from above',
  fromBelow: 'out from below',
};
export const QUARTER_WORDS: Record<Quarter, string> = {
  in: 'in',
  holdFull: 'full',
  out: 'out',
  holdEmpty: 'empty',
};

const many = (count: number, one: string, more = `${one}s`): string => `${count} ${count === 1 ? one : more}`;
const SHORT_THROUGH: Record<Through, string> = { nose: '', left: ' left', right: ' right', mouth: ' by the mouth' };

/** A part other than a counted cycle: `30 pumps`, `hold empty as long as easy with 10 pulses`, `15 s quiet`. */
function otherInWords(part: Exclude<BreathPart, CyclePart>): string {
  switch (part.kind) {
    case 'ownPace':
      return `${many(part.cycles, 'breath')} at one’s own pace`;
    case 'strokes':
      return many(part.count, 'pump');
    case 'retention': {
      const length = part.asLongAsEasy ? 'as long as easy' : `${part.seconds} s`;
      return `hold ${part.held} ${length}${part.pulses > 0 ? ` with ${many(part.pulses, 'pulse')}` : ''}`;
    }
    case 'recover':
      return part.for.kind === 'seconds'
        ? `${part.for.seconds} s quiet`
        : `${many(part.for.cycles, 'quiet breath', 'quiet breaths')}`;
  }
}

function cycleInTurns({ holdFull, holdEmpty, inThrough, outThrough }: CyclePart): string[] {
  return [
    `in${SHORT_THROUGH[inThrough]}`,
    ...(holdFull > 0 ? ['hold full'] : []),
    `out${SHORT_THROUGH[outThrough]}`,
    ...(holdEmpty > 0 ? ['hold empty'] : []),
  ];
}

/** ` in 3 parts, pauses of 2`; empty for a breath that is not interrupted. */
const stepsInWords = (steps: BreathSteps | undefined): string =>
  steps ? ` in ${steps.parts} parts, pauses of ${steps.pauseCounts}` : '';

/** What sounds on a breath, in words: `soft throat sound`, `voiced “ah”`; empty for none. */
export function soundInWords(part: BreathPart | undefined): string {
  if (!part || !('sound' in part) || part.sound === 'none') return '';
  const { loudness, vowel } = part.kind === 'cycle' ? part : {};
  if (part.sound === 'throat' && loudness) return `${loudness} ${SOUND_WORDS.throat}`;
  return part.sound === 'voice' && vowel ? `${SOUND_WORDS.voice} “${vowel}”` : SOUND_WORDS[part.sound];
}

/** Where a breath is felt, in words: `belly`, `belly, side ribs, upper chest as one wave`; empty if nobody says. */
export function feltInWords(part: BreathPart | undefined): string {
  if (part?.kind === 'cycle' && part.wave)
    return `${part.wave.map((place) => PLACE_WORDS[place]).join(', ')} as one wave`;
  return part && 'place' in part && part.place ? PLACE_WORDS[part.place] : '';
}

/** One round of a set in words, in the order of its parts: `1 round = in left, out right, in right, out left`. */
export function roundInWords({ parts }: Pick<BreathSet, 'parts'>): string {
  const turns = parts.flatMap((part) => (part.kind === 'cycle' ? cycleInTurns(part) : [otherInWords(part)]));
  return `1 round = ${turns.join(', ')}`;
}

/** The counts of one part: `in 4, full 4, out 8`; quarters of no counts are left out. */
export function partInWords(part: BreathPart): string {
  if (part.kind !== 'cycle') return otherInWords(part);
  return (Object.entries(QUARTER_WORDS) as [Quarter, string][])
    .flatMap(([quarter, word]) =>
      part[quarter] > 0 ? [`${word} ${part[quarter]}${stepsInWords(stepsOf(part, quarter))}`] : [],
    )
    .join(', ');
}

/** The counts of a set, with what changes: `in 4, out 4 to 8`; equal parts are listed once. */
export function setInWords({ parts, ramp }: Pick<BreathSet, 'parts' | 'ramp'>): string {
  const partsInWords = [...new Set(parts.map(partInWords))].join(', then ');
  if (!ramp) return partsInWords;
  const word = QUARTER_WORDS[ramp.of];
  const grown = new RegExp(`\\b${word} (\\d+)`);
  return grown.test(partsInWords)
    ? partsInWords.replace(grown, `${word} $1 to ${ramp.to}${ramp.back ? ' and back' : ''}`)
    : `${partsInWords}, ${word} up to ${ramp.to}${ramp.back ? ' and back' : ''}`;
}

/** The counts of a practice: those of its first set, and how many more sets there are. */
export function countsInWords({ sets }: BreathPractice): string {
  const [first] = sets;
  if (!first) return '';
  const words = setInWords(first);
  return sets.length > 1 ? `${words} and ${sets.length - 1} more ${sets.length === 2 ? 'set' : 'sets'}` : words;
}
