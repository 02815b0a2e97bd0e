import { onHead } from '../flesh';
import type { Skeleton } from '../skeleton';
import { dot, forwardOf, toWorld, upOf, type Mat3, type Vec3 } from '../vector';
import { openPath } from './curves';
import type { Point2 } from './fit';
import { towardsViewer } from './camera';

export interface FaceLine {
  kind: 'lid' | 'brow' | 'mouth' | 'ear';
  path: string;
}

interface Feature {
  kind: FaceLine['kind'];
  points: readonly Vec3[];
}

const arc = (pieces: number, point: (t: number) => Vec3): Vec3[] =>
  Array.from({ length: pieces + 1 }, (_, i) => point(i / pieces));
const mix = (from: number, to: number, t: number) => from + (to - from) * t;

/** Closed lids, brows, ears and mouth in the head's frame, centimetres of the tables' height. */
const FEATURES: readonly Feature[] = [
  ...([-1, 1] as const).flatMap((side): Feature[] => [
    {
      kind: 'lid',
      points: arc(6, (t) => [mix(9, 7.6, t * t), 4.9 - 0.75 * Math.sin(Math.PI * t), side * mix(1.7, 4.5, t)]),
    },
    {
      kind: 'brow',
      points: arc(6, (t) => [mix(9.6, 8, t * t), 7 + 0.5 * Math.sin(Math.PI * t), side * mix(1.5, 4.9, t)]),
    },
    {
      kind: 'ear',
      points: arc(8, (t) => {
        const angle = ((-70 + t * 256) * Math.PI) / 180 + 1.2;
        return [0.2 + 1.5 * Math.cos(angle), 4 + 2.5 * Math.sin(angle), side * 8];
      }),
    },
  ]),
  {
    kind: 'mouth',
    points: arc(8, (t) => {
      const across = 2 * t - 1;
      return [9.6 - across * across, -0.7 + 0.25 * across * across, across * 2.2];
    }),
  },
];

/**
 * The lines of the face, each only as far as `isSeen` says that the head's surface is seen there. Brow and mouth only
 * when the face looks at the viewer.
 */
export function faceLines(body: Skeleton, camera: Mat3, isSeen: (at: Vec3) => boolean): FaceLine[] {
  const towards = towardsViewer(camera);
  const facing = dot(towards, forwardOf(body.spine.head));
  const tipped = Math.abs(dot(towards, upOf(body.spine.head)));
  const lines: FaceLine[] = [];
  for (const { kind, points } of FEATURES) {
    if (kind === 'brow' && (facing < 0.25 || tipped > 0.6)) continue;
    if (kind === 'mouth' && (facing < 0.55 || tipped > 0.6)) continue;
    let run: Point2[] = [];
    const finish = () => {
      if (run.length > 2) lines.push({ kind, path: openPath(run, 0.4) });
      run = [];
    };
    for (const point of points) {
      const at = toWorld(camera, onHead(body, point));
      if (isSeen(at)) run.push([at[0] * 10, -at[1] * 10]);
      else finish();
    }
    finish();
  }
  return lines;
}
