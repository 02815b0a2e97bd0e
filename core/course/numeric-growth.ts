import type { Growth } from './gentlest';

/**
 * How a number gets to an aim by steps that end on a grid, or at the aim, and are no larger than allowed: seconds of a
 * hold, pieces of a stack, hundredths of a class. It may go up or down, and never past the aim.
 * @param grid numbers between are multiples of it
 */
export function numericGrowth(aim: number, grid: number, mostAWeek: number): Growth<number> {
  return {
    keyOf: String,
    isAim: (value) => value === aim,
    next: (value) => {
      const upwards = aim >= value;
      const found = [{ to: value, step: 0 }];
      const first = upwards ? Math.floor(value / grid) + 1 : Math.ceil(value / grid) - 1;
      for (let k = first; ; k += upwards ? 1 : -1) {
        const to = upwards ? Math.min(k * grid, aim) : Math.max(k * grid, aim);
        const step = Math.abs(to - value);
        if (step === 0 || step > mostAWeek) break;
        found.push({ to, step });
        if (to === aim) break;
      }
      return found;
    },
  };
}
