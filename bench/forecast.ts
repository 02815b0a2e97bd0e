import { forecastFinish, pacesOf, SIMULATED } from '#core/review';
import { seeded } from '#core/numbers';
import { compileTimeline } from '#core/timeline';
import { builtInLibrary } from '#library';
import { randomPlan } from './fit';
import { msFigure, percentile, timed, type Figure } from './measure';

/** When forty steps would end, simulated 20,000 times. */
export function benchForecast(): Figure[] {
  const timeline = compileTimeline(randomPlan(40, seeded(4)), builtInLibrary);
  const paces = pacesOf([]);
  const times = timed(5, () => forecastFinish(timeline, paces, 1));
  return [msFigure(`forecast, 40 steps, ${SIMULATED} evenings`, percentile(times, 0.5), 500)];
}
