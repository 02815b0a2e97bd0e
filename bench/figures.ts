import { COARSE_CM, draw, FINE_CM, ORDINARY, settle } from '#core/body';
import { placedProps } from '#core/props';
import { POSITIONS } from '#library';
import { msFigure, percentile, type Figure } from './measure';

/** Settling and drawing every position for another stature, fine and coarse: what the worker does while a slider moves. */
export function benchFigures(): Figure[] {
  const fine: number[] = [];
  const coarse: number[] = [];
  for (const statureCm of [165, 178, 152]) {
    for (const { figure, setUps } of POSITIONS) {
      const props = placedProps(setUps[0]?.items ?? [], 'left');
      const from = performance.now();
      const settled = settle(figure, props, statureCm, ORDINARY);
      const rested = performance.now();
      draw(settled, figure.view, FINE_CM);
      const drawn = performance.now();
      draw(settled, figure.view, COARSE_CM);
      const rough = performance.now();
      // The first round warms up, as the worker is when a slider moves.
      if (statureCm === 165) continue;
      fine.push(drawn - from);
      coarse.push(rested - from + rough - drawn);
    }
  }
  return [
    msFigure('a figure for another stature settled and drawn, median', percentile(fine, 0.5), 60),
    msFigure('the same, 95th percentile', percentile(fine, 0.95), 60),
    msFigure('the same, coarse, while a slider moves (20 a second), 95th percentile', percentile(coarse, 0.95), 50),
  ];
}
