/** How much room a movement has at a value: centimetres, or degrees of a joint; negative: already past touch. */
export type Room = (value: number) => number;

export interface Lowered {
  value: number;
  /** `touched`: came to rest; `free`: nothing in the way up to the end; `stuck`: no free value was found. */
  how: 'touched' | 'free' | 'stuck';
}

const HALVINGS = 9;
const MOST_STEPS = 120;
/** How far back a start without room is moved at least, where the range itself is small. */
const LEAST_WAY_BACK = 24;

/**
 * Moves a value from `from` towards `to` until its room is used up. Room per unit of the value changes by no more than
 * `speed`, so each step can be as long as the room there is; what is overstepped by the smallest step is halved away.
 * When the start has no room, the way back (at least 24, at most eight tenths of the range) is searched for the nearest value that has.
 */
export function lower(room: Room, from: number, to: number, speed: number): Lowered {
  const range = Math.abs(to - from);
  const least = Math.max(range / 60, 0.05);
  const halve = (free: number, taken: number): number => {
    let inside = free;
    let past = taken;
    for (let i = 0; i < HALVINGS; i++) {
      const middle = (inside + past) / 2;
      if (room(middle) < 0) past = middle;
      else inside = middle;
    }
    return inside;
  };

  const farthest = Math.max(range * 0.8, LEAST_WAY_BACK);
  const way = Math.sign(to - from) || 1;
  let value = from;
  let left = room(value);
  if (left < 0) {
    for (let i = 0; i < MOST_STEPS; i++) {
      const back = value - way * Math.max(-left / speed / 2, least, 0.4);
      if (Math.abs(back - from) > farthest) return { value: from, how: 'stuck' };
      const there = room(back);
      if (there >= 0) return { value: halve(back, value), how: 'touched' };
      value = back;
      left = there;
    }
    return { value: from, how: 'stuck' };
  }
  for (let i = 0; i < MOST_STEPS && value !== to; i++) {
    const step = Math.min(Math.max(left / speed, least), Math.abs(to - value));
    const next = value + way * step;
    const there = room(next);
    if (there < 0) return { value: halve(value, next), how: 'touched' };
    value = next;
    left = there;
  }
  return { value, how: 'free' };
}
