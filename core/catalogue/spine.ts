import type { Position } from './position';

/** The ways a back can go. */
export const SPINE_WAYS = ['long', 'rounded', 'arched', 'leaning', 'turned'] as const;
export type SpineWay = (typeof SPINE_WAYS)[number];

/** From so many degrees between pelvis and shoulders on, a back counts as going that way. Our own rule of thumb. */
const ROUNDED_FROM = 30;
const ARCHED_FROM = 20;
const LEANING_FROM = 24;
const TURNED_FROM = 20;

/**
 * Which ways the back goes in a position, by its traits and by how its figure is held; `long` where it goes no other
 * way.
 */
export function spineWays({ traits, figure }: Pick<Position, 'traits' | 'figure'>): SpineWay[] {
  const { lumbar, thoracic } = figure.pose.spine;
  const [fold, lean, turn] = [lumbar[0] + thoracic[0], lumbar[1] + thoracic[1], lumbar[2] + thoracic[2]];
  const arched = traits.includes('backBend') || fold <= -ARCHED_FROM;
  const ways: SpineWay[] = [];
  if (!arched && (traits.includes('loadedSpinalFold') || fold >= ROUNDED_FROM)) ways.push('rounded');
  if (arched) ways.push('arched');
  if (Math.abs(lean) >= LEANING_FROM) ways.push('leaning');
  if (traits.includes('twist') || Math.abs(turn) >= TURNED_FROM) ways.push('turned');
  return ways.length > 0 ? ways : ['long'];
}
