import { measure, segmentsOf, settle, REFERENCE_HEIGHT_CM, type Flexibility, type Measures } from '#core/body';
import type { Position } from '#core/catalogue';
import { isStacked, loadedHeightCm, placedProps, type PlacedProp, type PropPlace, type SetUp } from '#core/props';
import { HEIGHT_RULES, type HeightRule, type HeightRuleName } from './rules';

/** The body that a height is suggested for. */
export interface ForWhom {
  statureCm: number;
  flexibility: Flexibility;
}

/** How high what lies at a place should be, in centimetres with a body on it. */
export interface SuggestedHeight {
  place: PropPlace;
  side: 'left' | 'right' | 'centre';
  /** The range from enough to too much; both 0 if nothing is needed. */
  lowCm: number;
  highCm: number;
  /** From the lowest to the highest that still serves, if less well; the range itself, or more. */
  leastCm: number;
  mostCm: number;
  /** The height of what is there now. */
  nowCm: number;
  rule: HeightRuleName;
}

type MeasuredPosition = Pick<Position, 'figure' | 'family' | 'traits' | 'areas' | 'sides'>;
type Gap = keyof Measures['gaps'];

const sided = (place: string, side: SuggestedHeight['side']): Gap[] =>
  side === 'centre' ? ([`left${place}`, `right${place}`] as Gap[]) : [`${side}${place}` as Gap];

/** The gap that props at a place fill. */
function gapsAt(place: PropPlace, side: SuggestedHeight['side']): Gap[] {
  switch (place) {
    case 'head':
    case 'forehead':
      return ['head'];
    case 'chest':
    case 'belly':
      return ['chest'];
    case 'hip':
    case 'sacrum':
      return ['sacrum'];
    case 'knees':
      return sided('Knee', side);
    case 'thighs':
      return sided('Thigh', side);
    case 'hands':
      return sided('Hand', side);
    default:
      return [];
  }
}

/** The places whose height follows from the figure. */
export const MEASURED_PLACES: readonly PropPlace[] = [
  'head',
  'forehead',
  'chest',
  'belly',
  'sacrum',
  'seat',
  'hip',
  'thighs',
  'knees',
  'hands',
  'underFeet',
];

const isAt = (prop: PlacedProp, place: PropPlace, side: SuggestedHeight['side']): boolean =>
  prop.place === place && (side === 'centre' || prop.side === 'centre' || prop.side === side);

const heightOf = (props: readonly PlacedProp[]): number =>
  props.reduce((sum, prop) => sum + prop.count * loadedHeightCm(prop), 0);

const lyingOnBack = ({ family }: MeasuredPosition): boolean => family === 'supine' || family === 'wall';

function ruleFor(
  position: MeasuredPosition,
  place: PropPlace,
  side: SuggestedHeight['side'],
): HeightRuleName | undefined {
  const { family, traits, areas } = position;
  const backBend = traits.includes('backBend');
  switch (place) {
    case 'head':
      if (family === 'sideLying') return traits.includes('twist') ? undefined : 'headOnSide';
      if (!lyingOnBack(position) && !(backBend && family === 'kneeling')) return 'headInFold';
      // A head that is meant to hang back is carried where it hangs.
      if (backBend && traits.includes('headBelowHeart')) return 'headInFold';
      return backBend || areas.includes('chest') ? 'headInChestOpener' : 'headLyingFlat';
    case 'seat':
      return family === 'seated' ? 'hipsOverKnees' : undefined;
    case 'sacrum':
      return lyingOnBack(position) && traits.includes('inversion') ? 'heartOverHead' : 'gap';
    case 'knees':
      // Kneeling on something soft fills no gap, and what lifts the thigh of someone who lies face down is no support.
      if (family === 'kneeling' || family === 'prone') return undefined;
      if (side === 'centre') return family === 'supine' || family === 'seated' ? 'kneesBent' : undefined;
      return 'legCarried';
    case 'thighs':
      return gapsAt(place, side).length > 0 ? 'legCarried' : undefined;
    case 'forehead':
      return 'headInFold';
    case 'hands':
      return 'handsCarried';
    case 'chest':
    case 'belly':
      return 'trunk';
    case 'hip':
      return family === 'kneeling' ? 'hipLevel' : undefined;
    case 'underFeet':
      return family === 'seated' ? 'feetHeld' : undefined;
    default:
      return gapsAt(place, side).length > 0 ? 'gap' : undefined;
  }
}

/** What holds the knees up; it is put there once the seat is as high as it should be. */
const HOLDS_KNEES: readonly PropPlace[] = ['knees', 'thighs'];

const HEADS: readonly PropPlace[] = ['head', 'forehead'];

/** A plain block of any height, for trying out heights. */
const blockOf = (place: PropPlace, heightCm: number, like: PlacedProp | undefined): PlacedProp => ({
  kind: 'own:height',
  state: '',
  lie: like?.lie ?? 'crosswise',
  place,
  side: like?.side ?? 'centre',
  count: 1,
  size: { shape: 'box', widthCm: 40, depthCm: 30, heightCm, giveCm: 0 },
});

const HIGHEST_CM = 60;
const NEAR_CM = 0.4;
const MAX_TRIES = 7;

/**
 * The least height at which a measure reaches what is wanted, where it grows with the height: false position, kept
 * between what is too little and what is enough. 0 if it is reached without anything.
 */
function leastHeight(measureAt: (heightCm: number) => number, wanted: number): number {
  let [low, atLow] = [0, measureAt(0) - wanted];
  if (atLow >= -NEAR_CM) return 0;
  let [high, atHigh] = [Math.min(HIGHEST_CM, Math.max(4, -atLow * 1.6)), 0];
  for (let tries = 0; tries < MAX_TRIES; tries++) {
    atHigh = measureAt(high) - wanted;
    if (atHigh >= 0 || high >= HIGHEST_CM) break;
    [low, atLow, high] = [high, atHigh, Math.min(HIGHEST_CM, high * 1.7)];
  }
  if (atHigh < -NEAR_CM) return HIGHEST_CM;
  for (let tries = 0; tries < MAX_TRIES && high - low > NEAR_CM; tries++) {
    const middle = low + (high - low) * Math.min(0.9, Math.max(0.1, -atLow / (atHigh - atLow || 1)));
    const there = measureAt(middle) - wanted;
    if (Math.abs(there) <= NEAR_CM) return middle;
    if (there < 0) [low, atLow] = [middle, there];
    else [high, atHigh] = [middle, there];
  }
  return high;
}

const toTenth = (cm: number): number => Math.round(cm * 10) / 10;

/** The most that goes under a head which lies on a slope, in centimetres: so that the chin does not rise. */
const ON_SLOPE_CM = 5;

/** More than this nobody puts under the seat of someone who sits on the floor; centimetres. */
const SEAT_ON_FLOOR_CM = 34;

/** What the rounded slope of a shoulder is thick, and half the breadth of a head; centimetres at 165 cm. */
const SHOULDER_THICK = 5;
const HEAD_HALF = 7.4;

/**
 * How high what lies at a place of a position's set-up should be for a body, from the figure of that body with
 * everything else of the set-up in place. `side` is the side of the body while the left side is held. Undefined for a
 * place no rule speaks of. Deterministic; settles the figure once, or a few times where the height itself changes what
 * is measured.
 */
export function suggestedHeight(
  position: MeasuredPosition,
  setUp: SetUp,
  place: PropPlace,
  side: SuggestedHeight['side'],
  { statureCm, flexibility }: ForWhom,
): SuggestedHeight | undefined {
  const rule = ruleFor(position, place, side);
  if (!rule) return undefined;
  const props = placedProps(setUp, 'left');
  const there = props.filter((prop) => isAt(prop, place, side));
  // A strap or the wall at a place is no matter of height.
  if (there.length > 0 && !there.some(({ kind }) => kind === 'chair' || isStacked(kind))) return undefined;
  // What lies on each side is put there on both at once.
  const paired = setUp.some((row) => row.place === place && row.side === 'each');
  const others = props.filter(
    (prop) =>
      !there.includes(prop) &&
      !(paired && prop.place === place) &&
      !(rule === 'hipsOverKnees' && HOLDS_KNEES.includes(prop.place)),
  );
  const at = (heightCm: number): Measures => {
    const block = heightCm > 0 ? [blockOf(place, heightCm, there[0])] : [];
    return measure(settle(position.figure, [...others, ...block], statureCm, flexibility));
  };
  const { lowCm, highCm, above, below }: HeightRule = HEIGHT_RULES[rule];
  const nowCm = heightOf(side === 'centre' ? there.filter((prop) => prop.side !== 'right') : there);
  const answer = (low: number, high: number): SuggestedHeight => ({
    place,
    side,
    lowCm: toTenth(Math.max(0, low)),
    highCm: toTenth(Math.max(0, high)),
    leastCm: toTenth(Math.max(0, low - (below?.cm ?? 0))),
    mostCm: toTenth(Math.max(0, high) + (above?.cm ?? 0)),
    nowCm: toTenth(nowCm),
    rule,
  });
  switch (rule) {
    case 'headInChestOpener':
    case 'headLyingFlat': {
      const { levels } = at(0);
      // On a slope the head lies higher than the shoulders by itself.
      if (levels.shouldersUnder > levels.hips) return answer(0, ON_SLOPE_CM);
      const shoulders = levels.shouldersUnder - levels.underHead;
      return answer(shoulders + lowCm, shoulders + highCm);
    }
    case 'headOnSide': {
      const level =
        segmentsOf(statureCm).shoulderOut + ((SHOULDER_THICK - HEAD_HALF) * statureCm) / REFERENCE_HEIGHT_CM;
      return answer(level + lowCm, level + highCm);
    }
    case 'hipsOverKnees': {
      const least = leastHeight((height) => {
        const { hips, knee, lowerKnee } = at(height).levels;
        // Of crossed legs the upper knee lies on the lower one, however high the seat is.
        return hips - (position.sides === 'crossing' ? lowerKnee : knee);
      }, lowCm);
      // Where a knee stands up it is not meant to come lower than the hips.
      if (least > SEAT_ON_FLOOR_CM && !there.some(({ kind }) => kind === 'chair')) return undefined;
      return least === 0 ? answer(0, highCm) : answer(least, least + highCm);
    }
    case 'feetHeld': {
      const { hips, knee } = at(0).levels;
      return hips - knee <= highCm ? answer(0, 0) : answer(hips - knee - highCm, hips - knee - lowCm);
    }
    case 'heartOverHead': {
      const over = (height: number) => -at(height).headOverHeart;
      const least = leastHeight(over, lowCm);
      return answer(least, Math.max(least, leastHeight(over, highCm)));
    }
    case 'kneesBent':
      return answer((lowCm * statureCm) / REFERENCE_HEIGHT_CM, (highCm * statureCm) / REFERENCE_HEIGHT_CM);
    case 'gap':
    case 'headInFold':
    case 'handsCarried':
    case 'legCarried':
    case 'hipLevel':
    case 'trunk': {
      const { gaps, levels } = at(0);
      // A stack for the head stands on the floor before crossed legs, not on them.
      if (rule === 'headInFold' && position.sides === 'crossing') gaps.head = levels.headUnder - levels.underHead;
      const places = gapsAt(place, side).map((name) => gaps[name]);
      // What lies along the trunk carries the head as well, where nothing else does: whichever comes down first.
      const carriesHead =
        rule === 'trunk' && there[0]?.lie === 'lengthwise' && !others.some(({ place: at }) => HEADS.includes(at));
      const gap = carriesHead ? Math.min(...places, gaps.head) : Math.max(...places);
      if (gap < 1) return answer(0, 0);
      const fits = answer(gap + lowCm, gap + highCm);
      // In a standing fold what carries the hands serves up to the height of the hips: one only folds less.
      const upToHips = rule === 'handsCarried' && position.family === 'standing';
      return upToHips ? { ...fits, mostCm: Math.max(fits.mostCm, toTenth(levels.hips)) } : fits;
    }
  }
}
