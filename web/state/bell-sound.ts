export type BellSort = 'bowl' | 'wood' | 'soft';

/** How a bell sounds: what is struck, how high (1: as it is), and how long it rings (1: as it is). */
export interface BellSound {
  sort: BellSort;
  pitch: number;
  length: number;
}
export const USUAL_BELL: BellSound = { sort: 'bowl', pitch: 1, length: 1 };
