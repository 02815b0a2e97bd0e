import {
  BREATH_LOCKS,
  BREATH_PLACES,
  BREATH_SOUNDS,
  LOCK_WORDS,
  PLACE_WORDS,
  SOUND_WORDS,
  THROUGH_WORDS,
  Through,
  type PartKind,
} from '#core/breath';

const optionsOf = <T extends string>(values: readonly T[], words: Record<T, string>) =>
  values.map((value) => ({ value, label: words[value] }));

export const THROUGH_OPTIONS = optionsOf(Through.options, THROUGH_WORDS);
export const SOUND_OPTIONS = optionsOf(BREATH_SOUNDS, SOUND_WORDS);
export const LOCK_OPTIONS = optionsOf(BREATH_LOCKS, LOCK_WORDS);
export const PLACE_OPTIONS = [{ value: 'none' as const, label: 'anywhere' }, ...optionsOf(BREATH_PLACES, PLACE_WORDS)];
export const EYES_OPTIONS = [
  { value: 'closed', label: 'eyes closed' },
  { value: 'open', label: 'eyes open' },
  { value: 'free', label: 'eyes as they like' },
] as const;
export const PART_TITLES: Record<PartKind, string> = {
  cycle: 'Counted breath',
  ownPace: 'Own pace',
  strokes: 'Pumps',
  retention: 'Hold',
  recover: 'Recover',
};
