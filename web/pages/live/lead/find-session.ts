import { listRuns, readRun } from '../../../client/runs';
import { safeStorage } from '../../../sync/safe-storage';
import { newId } from '../../../client/new-id';
import { openTabs, tabName } from '../../../sync/tabs';
import { adoptedRun, isUnderWay, ledBy, unfinishedRun } from '../../../sync/event-outbox';
import type { InitialLeadership } from '../use-led-run';

const DEVICE = 'zovrin.device';
const LENGTH = 12;

/** A name for this browser that stays, so that its windows know each other from those of other devices. */
function deviceName(): string {
  const known = safeStorage.read(DEVICE);
  if (known) return known;
  const name = newId().slice(0, LENGTH);
  safeStorage.write(DEVICE, name);
  return name;
}

/** Whether the window that led last is another one that is still there: open in this browser, or on another device. */
async function isElsewhere(by: string, me: string, device: string): Promise<boolean> {
  if (by === '' || by === me) return false;
  if (!by.startsWith(`${device} `)) return true;
  return (await openTabs()).has(by.slice(device.length + 1));
}

/**
 * The session of a plan that is under way, from this browser or else from the server, and whether this window may lead
 * it. Without the server, what this browser knows counts. One that was left running long ago is named, and not resumed.
 */
export async function findSession(planId: string): Promise<InitialLeadership> {
  const device = deviceName();
  const tab = await tabName().catch(newId);
  const me = `${device} ${tab}`;
  const here = unfinishedRun(planId);
  if (here && isUnderWay(here, Date.now()))
    return { me, run: here, elsewhere: await isElsewhere(ledBy(here.events), me, device) };
  const there = await listRuns(1, planId)
    .then(({ items: [latest] }) => latest && readRun(latest.id))
    .catch(() => undefined);
  const leftRunning = here && { leftRunning: here };
  if (!there || !isUnderWay(there, Date.now())) return { me, run: undefined, elsewhere: false, ...leftRunning };
  return { me, run: adoptedRun(there), elsewhere: await isElsewhere(ledBy(there.events), me, device) };
}
