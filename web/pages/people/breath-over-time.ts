import type { ChartData } from 'chart.js';
import type { easyBreath } from '#core/breath';
import type { Tone } from '../../widgets/charts/chart-data';

/** How somebody breathed easily on a day, in seconds. */
export interface MeasuredOn {
  day: string;
  easy: ReturnType<typeof easyBreath>;
}

const line = (label: string, values: (number | undefined)[], colour: string, dashed = false) => ({
  label,
  data: values.map((value) => value ?? null),
  borderColor: colour,
  backgroundColor: colour,
  borderDash: dashed ? [5, 4] : [],
  borderWidth: 2,
  pointRadius: 3,
  spanGaps: true,
});

/** In and out, and the holds where they were measured, one line each. */
export const breathOverTime = (measured: readonly MeasuredOn[], tone: Tone): ChartData => ({
  labels: measured.map(({ day }) => day),
  datasets: [
    line(
      'in',
      measured.map(({ easy }) => easy.in),
      tone('breath'),
    ),
    line(
      'out',
      measured.map(({ easy }) => easy.out),
      tone('ink'),
    ),
    ...(measured.some(({ easy }) => easy.holdFull !== undefined)
      ? [
          line(
            'hold full',
            measured.map(({ easy }) => easy.holdFull),
            tone('both'),
            true,
          ),
        ]
      : []),
    ...(measured.some(({ easy }) => easy.holdEmpty !== undefined)
      ? [
          line(
            'hold empty',
            measured.map(({ easy }) => easy.holdEmpty),
            tone('left'),
            true,
          ),
        ]
      : []),
  ],
});

const STEADY_SECONDS = 0.3;

/** The trend of the out-breath, in a sentence: from the first measurement to the last. */
export function breathOverTimeInWords(measured: readonly MeasuredOn[]): string {
  const [first, last] = [measured[0], measured.at(-1)];
  if (!first || !last || first === last) {
    return 'Measured once.';
  }
  const by = last.easy.out - first.easy.out;
  const was = `${first.easy.out.toFixed(1)} s on ${first.day}, ${last.easy.out.toFixed(1)} s on ${last.day}`;
  if (Math.abs(by) < STEADY_SECONDS) return `The easy out-breath stayed as it was: ${was}.`;
  return `The easy out-breath grew ${by > 0 ? 'longer' : 'shorter'}: ${was}.`;
}
