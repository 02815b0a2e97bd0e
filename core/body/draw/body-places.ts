import { PROP_PLACE_NAMES, type PropPlace } from '#core/props';
import type { View } from '../figure';
import type { Settled } from '../settle/settle';
import { anchorOf } from '../solids/anchors';
import { cameraOf } from './camera';
import { project } from './prop-shapes';

/** A place of the body where a prop can go, as a point of the picture in millimetres. */
export interface BodyPlace {
  place: PropPlace;
  side: 'centre' | 'left' | 'right';
  x: number;
  y: number;
}

/** Places that are on both limbs, and can be on one. */
const PAIRED: ReadonlySet<PropPlace> = new Set([
  'thighs',
  'onThighs',
  'knees',
  'shins',
  'onShins',
  'calves',
  'ankles',
  'arms',
  'hands',
  'hip',
  'underFeet',
]);
/** Nearer than this in the picture the limbs are one place. */
const APART_MM = 90;

/**
 * Where the places of a settled body are in a view of it. A place on both limbs is two places where they are seen
 * apart, and the middle of them where they are not.
 */
export function bodyPlaces({ body }: Settled, view: View): BodyPlace[] {
  const camera = cameraOf(view);
  return PROP_PLACE_NAMES.flatMap((place): BodyPlace[] => {
    const at = (side?: 'left' | 'right'): BodyPlace => {
      const [x, y] = project(camera, anchorOf(place, body, side));
      return { place, side: side ?? 'centre', x: Math.round(x), y: Math.round(y) };
    };
    const [left, right] = [at('left'), at('right')];
    const apart = Math.hypot(left.x - right.x, left.y - right.y) > APART_MM;
    return PAIRED.has(place) && apart ? [left, right] : [at()];
  });
}
