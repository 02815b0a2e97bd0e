import type { Models } from './models';

const BIN = 'bin';
const DAY_MS = 24 * 3600 * 1000;
/** How far the clock of the bin goes forward at once, however far the machine's clock did. */
const MAX_STEP_MS = 8 * DAY_MS;

/**
 * Moves the clock of the bin towards the machine's clock and gives it, in milliseconds since 1970 UTC. It never runs
 * ahead of the machine's clock, and goes at most 8 days forward at once: a machine that believes for an hour that it is
 * next month must not empty the bin. To be called when the server starts and once a day, within a change of the store.
 */
export async function advanceBinClock({ clocks }: Pick<Models, 'clocks'>, nowMs: number): Promise<number> {
  const known = await clocks.findByPk(BIN);
  const ms = known ? Math.min(nowMs, known.ms + MAX_STEP_MS) : nowMs;
  await clocks.upsert({ id: BIN, ms });
  return ms;
}
