/** The clearance of a movement at a value, in centimetres or degrees of a joint; negative: already past touch. */
export type Clearance = (value: number) => number;

export interface Lowered {
  value: number;
  /** `touched`: came to rest; `free`: nothing in the way up to the end; `stuck`: no free value was found. */
  how: 'touched' | 'free' | 'stuck';
}

const HALVINGS = 9;
const MAX_STEPS = 120;
/** How far back a start without clearance is moved at least, where the range itself is small. */
const MIN_WAY_BACK = 24;

/**
 * Moves a value from `from` towards `to` until its clearance is used up. It changes per unit of the value by no more
 * than `speed`, so each step can be as long as the clearance there is; what is overstepped by the smallest step is
 * halved away. When the start has none, the way back (at least 24, at most eight tenths of the range) is searched for
 * the nearest value that has.
 */
export function advanceToContact(clearance: Clearance, from: number, to: number, speed: number): Lowered {
  const range = Math.abs(to - from);
  const least = Math.max(range / 60, 0.05);
  const halve = (free: number, taken: number): number => {
    let inside = free;
    let past = taken;
    for (let i = 0; i < HALVINGS; i++) {
      const middle = (inside + past) / 2;
      if (clearance(middle) < 0) past = middle;
      else inside = middle;
    }
    return inside;
  };

  const farthest = Math.max(range * 0.8, MIN_WAY_BACK);
  const way = Math.sign(to - from) || 1;
  let value = from;
  let left = clearance(value);
  if (left < 0) {
    for (let i = 0; i < MAX_STEPS; i++) {
      const back = value - way * Math.max(-left / speed / 2, least, 0.4);
      if (Math.abs(back - from) > farthest) return { value: from, how: 'stuck' };
      const there = clearance(back);
      if (there >= 0) return { value: halve(back, value), how: 'touched' };
      value = back;
      left = there;
    }
    return { value: from, how: 'stuck' };
  }
  for (let i = 0; i < MAX_STEPS && value !== to; i++) {
    const step = Math.min(Math.max(left / speed, least), Math.abs(to - value));
    const next = value + way * step;
    const there = clearance(next);
    if (there < 0) return { value: halve(value, next), how: 'touched' };
    value = next;
    left = there;
  }
  return { value, how: 'free' };
}
