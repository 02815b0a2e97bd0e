import type { ChartData } from 'chart.js';
import type {
  transitionTimes,
  breathBySession,
  plannedAndDone,
  sidesByWeek,
  strengthAgainstLength,
} from '#core/review';
import { shortDayOf } from '../../ui/dates';

/** A colour of the theme by its name. */
export type Tone = (name: 'left' | 'right' | 'both' | 'breath' | 'ink') => string;

const minutes = (ms: number): number => Math.round(ms / 6000) / 10;
const filled = (label: string, data: number[], colour: string) => ({ label, data, backgroundColor: colour });
const outlined = (label: string, data: number[], tone: Tone) => ({
  label,
  data,
  backgroundColor: 'transparent',
  borderColor: tone('ink'),
  borderWidth: 1.5,
});

/** Minutes on the left and on the right, by week. */
export const sidesChart = (sides: ReturnType<typeof sidesByWeek>, tone: Tone): ChartData => ({
  labels: sides.map(({ week }) => shortDayOf(week)),
  datasets: [
    filled(
      'left',
      sides.map(({ leftMs }) => minutes(leftMs)),
      tone('left'),
    ),
    filled(
      'right',
      sides.map(({ rightMs }) => minutes(rightMs)),
      tone('right'),
    ),
  ],
});

/** Minutes done as fill and planned as outline, by run. */
export const plannedChart = (runs: ReturnType<typeof plannedAndDone>, tone: Tone): ChartData => ({
  labels: runs.map(({ beganAtMs }) => shortDayOf(beganAtMs)),
  datasets: [
    filled(
      'done',
      runs.map(({ doneMs }) => minutes(doneMs)),
      tone('both'),
    ),
    outlined(
      'planned',
      runs.map(({ plannedMs }) => minutes(plannedMs)),
      tone,
    ),
  ],
});

export const TRANSITION_WORDS = { setUp: 'set-up, change of sides', entries: 'getting in, coming out', talk: 'talk' };

/** Seconds of one set-up, way and talk: actual as fill, planned as outline. */
export const transitionTimesChart = (parts: ReturnType<typeof transitionTimes>, tone: Tone): ChartData => ({
  labels: parts.map(({ what }) => TRANSITION_WORDS[what]),
  datasets: [
    filled(
      'actual',
      parts.map(({ doneMs }) => Math.round(doneMs / 1000)),
      tone('both'),
    ),
    outlined(
      'planned',
      parts.map(({ plannedMs }) => Math.round(plannedMs / 1000)),
      tone,
    ),
  ],
});

const POINTS = { left: 'triangle', right: 'rectRot', both: 'circle' } as const;

/** Strength over minutes held, a point for each side; the sides apart by shape as well as by colour. */
export const strengthChart = (
  points: ReturnType<typeof strengthAgainstLength>[number]['points'],
  tone: Tone,
): ChartData => ({
  datasets: (['left', 'right', 'both'] as const)
    .map((side) => ({
      label: side === 'both' ? 'both sides' : side,
      data: points
        .filter((point) => point.side === side)
        .map(({ doneMs, strength }) => ({ x: minutes(doneMs), y: strength })),
      backgroundColor: tone(side),
      pointStyle: POINTS[side],
      radius: 5,
    }))
    .filter(({ data }) => data.length > 0),
});

/** The longest retention in seconds and the slowest breath a minute, by session. */
export const breathChart = (sessions: ReturnType<typeof breathBySession>, tone: Tone): ChartData => ({
  labels: sessions.map(({ beganAtMs }) => shortDayOf(beganAtMs)),
  datasets: [
    {
      label: 'longest retention, seconds',
      data: sessions.map(({ longestRetentionMs: ms }) => (ms === null ? null : Math.round(ms / 1000))),
      borderColor: tone('breath'),
      backgroundColor: tone('breath'),
      pointStyle: 'rect',
      spanGaps: true,
    },
    {
      label: 'slowest breathing, per minute',
      data: sessions.map(({ slowestRate }) => (slowestRate === null ? null : Math.round(slowestRate * 10) / 10)),
      borderColor: tone('ink'),
      backgroundColor: tone('ink'),
      borderDash: [5, 4],
      spanGaps: true,
    },
  ],
});
