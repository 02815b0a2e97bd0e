import type { BreathPart, CyclePart, OwnPacePart, PartKind, RecoverPart, RetentionPart, StrokesPart } from './parts';
import type { BreathSet } from './set';

type Counts = readonly [inCounts: number, holdFull: number, out: number, holdEmpty: number];
type Rest<P extends BreathPart> = Partial<Omit<P, 'kind'>>;

/** A counted cycle, through the nose and without a sound unless said otherwise. */
export const cycleOf = ([inCounts, holdFull, out, holdEmpty]: Counts, rest: Rest<CyclePart> = {}): CyclePart => ({
  kind: 'cycle',
  in: inCounts,
  holdFull,
  out,
  holdEmpty,
  inThrough: 'nose',
  outThrough: 'nose',
  sound: 'none',
  place: null,
  locks: [],
  ...rest,
});

/** So many breaths at one's own pace of about so many seconds each. */
export const ownPaceOf = (cycles: number, secondsPerCycle: number, rest: Rest<OwnPacePart> = {}): OwnPacePart => ({
  kind: 'ownPace',
  cycles,
  secondsPerCycle,
  through: 'nose',
  sound: 'none',
  place: null,
  ...rest,
});

/** So many strokes out at so many a minute. */
export const strokesOf = (count: number, perMinute: number, rest: Rest<StrokesPart> = {}): StrokesPart => ({
  kind: 'strokes',
  count,
  perMinute,
  active: 'out',
  through: 'nose',
  ...rest,
});

/** A still hold of so many seconds. */
export const retentionOf = (
  held: RetentionPart['held'],
  seconds: number,
  rest: Rest<RetentionPart> = {},
): RetentionPart => ({ kind: 'retention', held, seconds, asLongAsEasy: false, pulses: 0, locks: [], ...rest });

/** Quiet breathing of so many seconds. */
export const recoverOf = (seconds: number): RecoverPart => ({ kind: 'recover', for: { kind: 'seconds', seconds } });

/** A part of a kind with values to begin with. */
export function newPart(kind: PartKind): BreathPart {
  switch (kind) {
    case 'cycle':
      return cycleOf([4, 0, 4, 0]);
    case 'ownPace':
      return ownPaceOf(6, 7);
    case 'strokes':
      return strokesOf(30, 60);
    case 'retention':
      return retentionOf('full', 10, { asLongAsEasy: true });
    case 'recover':
      return recoverOf(15);
  }
}

/** A set with its usual values: eyes as they like, no rest after it, nothing that changes. */
export const setOf = (id: string, parts: BreathPart[], rounds: number, rest: Partial<BreathSet> = {}): BreathSet => ({
  id,
  label: '',
  parts,
  rounds,
  ramp: null,
  restSeconds: 0,
  eyes: 'free',
  hands: '',
  says: '',
  ...rest,
});
