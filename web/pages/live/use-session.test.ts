import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { nextTick } from 'vue';
import type { SecondSide } from '#core/settings';
import type { Plan } from '#core/plan';
import type { RunEvent } from '#core/run';
import { DEFAULT_RULES, type Phase } from '#core/timeline';
import { TEMPLATES } from '#library';
import type { StoredPlan } from '#api';
import { fakeBrowser, settle, type Call, type FakeBrowser } from '../../../tests/support/browser';
import { mounted, type Mounted } from '../../../tests/support/mounted';
import { storeLocalRun, readLocalRun, unfinishedRun, type LocalRun } from '../../sync/event-outbox';
import { excludedMs } from '../../widgets/session/clock-offset';
import { rehearsalClock, steadyClock, type SessionClock } from '../../widgets/session/session-clock';
import { useSession, type Session } from './use-session';
import type { InitialLeadership } from './use-led-run';

const START = Date.UTC(2026, 10, 26, 18, 0);
const ME = 'device this-window';
let browser: FakeBrowser;
/** What the server has of the session, in its order. */
let arrived: RunEvent[];
/** The clock of the session, as the server knows it. */
let clockOfSession: (() => number) | undefined;
let open: Mounted<Session>[];
let second: SecondSide;

function serve({ method, path, body }: Call) {
  if (method === 'GET' && path.startsWith('/runs/')) {
    const after = Number(/after=(\d+)/.exec(path)?.[1] ?? 0);
    return { status: 200, body: { events: arrived.slice(after), nowMs: clockOfSession?.() ?? null } };
  }
  if (path === '/runs') {
    return {
      status: 201,
      body: { ...(body as object), createdAt: new Date(START).toISOString(), plan, events: [], unreadable: 0 },
    };
  }
  if (!path.endsWith('/events')) return { status: 404 };
  const fresh = (body as { events: RunEvent[] }).events.filter(({ id }) => !arrived.some((one) => one.id === id));
  arrived = [...arrived, ...fresh];
  return { status: 200, body: { stored: fresh.length, total: arrived.length } };
}

const template = (id: string): Plan => TEMPLATES.find((one) => one.id === id)!.plan;
const plan = template('yin');
const stored = (document: Plan): StoredPlan => ({
  id: 'p',
  revision: 3,
  createdAt: new Date(START).toISOString(),
  updatedAt: new Date(START).toISOString(),
  document,
});

function opened(
  document: Plan = plan,
  { clock = steadyClock(), first = {} }: { clock?: SessionClock; first?: Partial<InitialLeadership> } = {},
): Session {
  const one = mounted(() =>
    useSession(
      stored(document),
      () => DEFAULT_RULES.bells,
      () => second,
      clock,
      {
        me: ME,
        run: undefined,
        elsewhere: false,
        ...first,
      },
    ),
  );
  open.push(one);
  return one.used;
}
/** So much goes by, tick by tick, as it does while the page is open. */
async function pass(ms: number): Promise<void> {
  await jest.advanceTimersByTimeAsync(ms);
  await nextTick();
}
/** So much goes by while nothing ticks: the machine slept, or its clock was set. */
const jumpClock = (ms: number): void => void jest.setSystemTime(Date.now() + ms);
const kinds = (session: Session): string[] => (session.local.value?.events ?? []).map(({ kind }) => kind);
const last = (session: Session): RunEvent | undefined => session.local.value?.events.at(-1);
const stepOf = ({ state, plan: led }: Session): string => led.steps[state.value.phase?.stepIndex ?? -1]?.name ?? '';
/** Goes to the first stretch to come that is as asked for. */
function goTo(session: Session, isIt: (phase: Phase) => boolean): void {
  const here = session.state.value.phase?.index ?? -1;
  const phase = session.timeline.phases.findIndex((one) => one.index > here && isIt(one));
  expect(phase).toBeGreaterThan(here);
  session.happen({ kind: 'jumped', phase });
}
const toHold = (session: Session, side: 'left' | 'right' | 'both'): void =>
  goTo(session, (phase) => phase.kind === 'hold' && phase.side === side);

beforeEach(() => {
  jest.useFakeTimers({ now: START });
  setActivePinia(createPinia());
  browser = fakeBrowser();
  browser.answer = serve;
  [arrived, open, second] = [[], [], 'never'];
  clockOfSession = undefined;
  Object.defineProperty(globalThis, 'window', { value: new EventTarget(), configurable: true });
});
afterEach(() => {
  for (const { unmount } of open) unmount();
  jest.useRealTimers();
});

describe('leading', () => {
  test('nothing counts before it is begun; then it is where the clock is, and every event is kept and sent in order', async () => {
    const session = opened();
    await pass(60_000);
    expect([session.state.value.status, session.state.value.intoMs, kinds(session)]).toEqual(['ready', 0, []]);
    session.pauseOrGoOn();
    expect(kinds(session)).toEqual(['started', 'led']);
    await pass(9000);
    expect(session.state.value).toMatchObject({ status: 'running', at: 0, intoMs: 9000, lateMs: 0 });
    session.happen({ kind: 'noted', text: 'draughty' });
    await settle();
    expect(arrived.map(({ kind }) => kind)).toEqual(['started', 'led', 'noted']);
    expect(unfinishedRun('p')?.events).toEqual(session.local.value?.events);
  });

  test('pausing stands still and makes it late; going on goes on', async () => {
    const session = opened();
    session.pauseOrGoOn();
    await pass(5000);
    session.pauseOrGoOn();
    await pass(40_000);
    expect(session.state.value).toMatchObject({ status: 'paused', intoMs: 5000, lateMs: 40_000 });
    session.pauseOrGoOn();
    await pass(1000);
    expect(session.state.value).toMatchObject({ status: 'running', intoMs: 6000, lateMs: 40_000 });
  });

  test('next goes to the beginning of what comes; back to the beginning of this, and just after it to the one before', async () => {
    const session = opened();
    session.pauseOrGoOn();
    session.next();
    await pass(1000);
    const second = session.state.value.at;
    session.next();
    const third = session.state.value.at;
    expect([second > 0, third > second]).toEqual([true, true]);
    await pass(8000);
    session.back();
    expect(session.state.value).toMatchObject({ at: third, intoMs: 0 });
    await pass(1000);
    session.back();
    expect(session.state.value).toMatchObject({ at: second, intoMs: 0 });
  });

  test('more and less: half a minute of a hold, a round of a breath, five seconds of a hold of the breath', async () => {
    const session = opened(template('workshop'));
    session.pauseOrGoOn();
    goTo(session, (phase) => phase.kind === 'in');
    session.more(1);
    expect(last(session)).toMatchObject({ kind: 'rounds', by: 1 });
    session.more(-1);
    expect(last(session)).toMatchObject({ kind: 'rounds', by: -1 });
    goTo(session, (phase) => phase.kind === 'retention');
    const before = session.state.value.phaseMs;
    session.more(1);
    expect(last(session)).toMatchObject({ kind: 'stretched', byMs: 5000 });
    expect(session.state.value.phaseMs).toBe(before + 5000);

    const held = opened();
    held.pauseOrGoOn();
    goTo(held, (phase) => phase.kind === 'hold');
    const { groupMs } = held.state.value;
    held.more(1);
    held.more(1);
    held.more(-1);
    expect([last(held), held.state.value.groupMs]).toMatchObject([{ byMs: -30_000 }, groupMs + 30_000]);
  });

  test('a hold goes on until it is ended by hand, and is over at its time again when that is taken off', async () => {
    const session = opened();
    session.pauseOrGoOn();
    goTo(session, (phase) => phase.kind === 'hold');
    const { at, groupMs } = session.state.value;
    session.holdOn();
    await pass(groupMs + 60_000);
    expect(session.state.value).toMatchObject({ at, open: true, groupMoreMs: 0 });
    session.holdOn();
    await pass(400);
    expect(session.state.value.at).toBeGreaterThan(at);
  });

  test('the next two steps to come change places, and back', async () => {
    const session = opened();
    session.pauseOrGoOn();
    const [one, other] = session.nextTwo.value!;
    session.swapNext();
    expect([last(session), session.nextTwo.value]).toMatchObject([
      { kind: 'swapped', steps: [one, other] },
      [other, one],
    ]);
    session.next();
    expect(stepOf(session)).toBe(plan.steps[other]!.name);
  });

  test('near the end there are no two to come, and nothing is exchanged', async () => {
    const session = opened();
    session.pauseOrGoOn();
    goTo(session, (phase) => phase.stepIndex === plan.steps.length - 1);
    expect(session.nextTwo.value).toBeUndefined();
    const before = kinds(session).length;
    session.swapNext();
    expect(kinds(session)).toHaveLength(before);
  });

  test('what is made shorter to end in time does: the class ends when the plan would have', async () => {
    const session = opened();
    session.pauseOrGoOn();
    await pass(1000);
    session.pauseOrGoOn();
    await pass(240_000);
    session.pauseOrGoOn();
    expect(session.state.value.lateMs).toBe(240_000);
    const mended = session.toEndInTime();
    session.happen({ kind: 'refitted', lengths: mended.lengths });
    expect(Math.abs(session.state.value.lateMs)).toBeLessThan(1000);
  });
});

describe('taking back', () => {
  test('for ten seconds, one after the other; then there is nothing to take back', async () => {
    const session = opened();
    session.pauseOrGoOn();
    await pass(20_000);
    const { at, intoMs } = session.state.value;
    session.next();
    await pass(2000);
    session.more(1);
    await pass(2000);
    session.takeBack();
    expect(session.lastDone.value?.kind).toBe('jumped');
    session.takeBack();
    expect(session.state.value).toMatchObject({ at, intoMs: intoMs + 4000 });
    expect(session.lastDone.value).toBeUndefined();

    session.next();
    await pass(11_000);
    expect(session.lastDone.value).toBeUndefined();
    const before = kinds(session);
    session.takeBack();
    expect(kinds(session)).toEqual(before);
  });

  test('what is told is not taken back, and does not hide what was done before it', async () => {
    const session = opened();
    session.pauseOrGoOn();
    session.next();
    session.happen({ kind: 'noted', text: 'cold floor' });
    expect(session.lastDone.value?.kind).toBe('jumped');
    session.takeBack();
    expect(session.state.value.at).toBe(0);
  });
});

describe('the second side', () => {
  async function longerLeft(): Promise<Session> {
    const session = opened();
    session.pauseOrGoOn();
    toHold(session, 'left');
    session.more(1);
    await pass(20_000);
    return session;
  }
  const rightMs = (session: Session): number => {
    toHold(session, 'right');
    return session.state.value.groupMs;
  };

  test('is never made the same where the house never wants it', async () => {
    const session = await longerLeft();
    const planned = opened();
    planned.pauseOrGoOn();
    toHold(planned, 'left');
    expect(session.secondSideOff.value).toBe(0);
    const right = rightMs(session);
    await pass(1000);
    expect([right, kinds(session).includes('matched')]).toEqual([rightMs(planned), false]);
  });

  test('is told, and made the same when the teacher says so', async () => {
    second = 'ask';
    const session = await longerLeft();
    const { groupMoreMs } = session.state.value;
    await pass(groupMoreMs + 400);
    goTo(session, ({ kind, side }) => kind === 'hold' && side === 'right');
    await pass(1000);
    expect(session.secondSideOff.value).toBe(30_000);
    const { groupMs } = session.state.value;
    session.happen({ kind: 'matched' });
    expect([session.state.value.groupMs, session.secondSideOff.value]).toEqual([groupMs + 30_000, 0]);
  });

  test('is made the same by itself, once: what was taken back is not done again', async () => {
    second = 'always';
    const session = await longerLeft();
    await pass(session.state.value.groupMoreMs + 1000);
    const matched = (): number => kinds(session).filter((kind) => kind === 'matched').length;
    expect([session.secondSideOff.value, matched()]).toEqual([0, 1]);
    session.takeBack();
    await pass(3000);
    expect(session.secondSideOff.value).toBe(30_000);
    goTo(session, ({ kind, side }) => kind === 'hold' && side === 'right');
    await pass(3000);
    expect(matched()).toBe(1);
  });

  test('is left alone where something was done in it: that is meant', async () => {
    second = 'ask';
    const session = await longerLeft();
    await pass(session.state.value.groupMoreMs + 400);
    goTo(session, ({ kind, side }) => kind === 'hold' && side === 'right');
    await pass(1000);
    session.happen({ kind: 'stretched', byMs: -15_000 });
    second = 'always';
    await pass(2000);
    expect(kinds(session)).not.toContain('matched');
  });
});

describe('clocks', () => {
  test('a machine that slept: it is where the clock is, that is told, and what went by can be left out', async () => {
    const session = opened();
    session.pauseOrGoOn();
    await pass(5000);
    jumpClock(120_000);
    await pass(200);
    expect(session.unseen.value).toBeDefined();
    const where = session.state.value.plannedAtMs;
    expect(where).toBeGreaterThan(120_000);
    session.excludeGap();
    expect(session.unseen.value).toBeUndefined();
    expect(session.state.value.plannedAtMs).toBeLessThan(6000);
    expect(session.state.value.lateMs).toBeGreaterThan(119_000);
  });

  test('whoever does something has seen where the clock is', async () => {
    const session = opened();
    session.pauseOrGoOn();
    jumpClock(60_000);
    await pass(200);
    expect(session.unseen.value).toBeDefined();
    session.happen({ kind: 'noted', text: 'the lid was shut' });
    expect(session.unseen.value).toBeUndefined();
    jumpClock(60_000);
    await pass(200);
    session.dismissUnseen();
    expect(session.unseen.value).toBeUndefined();
  });

  test('nothing went by unseen while it was paused or not begun', async () => {
    const session = opened();
    jumpClock(600_000);
    await pass(200);
    session.pauseOrGoOn();
    session.pauseOrGoOn();
    jumpClock(600_000);
    await pass(200);
    expect(session.unseen.value).toBeUndefined();
  });

  test('a clock set back an hour: the session goes on as it was, and that is kept', async () => {
    const session = opened();
    session.pauseOrGoOn();
    await pass(30_000);
    jumpClock(-3_600_000);
    await pass(200);
    expect(session.clockSetMs.value).toBe(-3_600_000);
    expect(session.state.value.plannedAtMs).toBeGreaterThanOrEqual(30_000);
    expect(session.state.value.plannedAtMs).toBeLessThan(31_000);
    expect(last(session)).toMatchObject({ kind: 'clockSet', byMs: -3_600_000 });
    session.dismissUnseen();
    expect(session.clockSetMs.value).toBe(0);
  });

  test('a clock that seemed to be set ahead, and really so much went by', async () => {
    const session = opened();
    session.pauseOrGoOn();
    await pass(30_000);
    jumpClock(50 * 60_000);
    await pass(200);
    expect(session.clockSetMs.value).toBe(50 * 60_000);
    session.revertClockCorrection();
    expect(session.clockSetMs.value).toBe(0);
    expect(session.now.value).toBe(Date.now());
    session.revertClockCorrection();
    expect(kinds(session).filter((kind) => kind === 'clockSet')).toHaveLength(2);
  });
});

describe('kept, followed, taken over', () => {
  async function begun(): Promise<{ session: Session; run: LocalRun }> {
    const session = opened();
    session.pauseOrGoOn();
    await pass(10_000);
    return { session, run: session.local.value! };
  }
  /** As another window or device has it, which has taken the lead. */
  const elsewhere = (run: LocalRun, ...more: RunEvent[]): LocalRun => ({
    ...run,
    events: [...run.events, { id: 'led-elsewhere', atMs: Date.now(), kind: 'led', by: 'device other' }, ...more],
  });

  test('a page that is opened again goes on by the clock, with the plan as it was', async () => {
    const { run } = await begun();
    open.pop()!.unmount();
    await pass(20_000);
    const again = opened({ ...plan, title: 'Changed since' }, { first: { run } });
    expect([again.plan.title, again.state.value.status]).toEqual([plan.title, 'running']);
    expect(again.state.value.plannedAtMs).toBe(30_000);
    expect(kinds(again)).toEqual(['started', 'led']);
  });

  test('a rehearsal goes faster, begins anew and is kept nowhere', async () => {
    const { run } = await begun();
    const calls = browser.calls.length;
    const session = opened(plan, { clock: rehearsalClock(10), first: { run } });
    expect(session.state.value.status).toBe('ready');
    session.pauseOrGoOn();
    await pass(6000);
    expect(session.state.value.plannedAtMs).toBe(60_000);
    session.next();
    await settle();
    const sent = browser.calls.slice(calls).filter(({ method }) => method === 'POST');
    expect([sent, kinds(session)]).toEqual([[], ['started', 'jumped']]);
    expect(readLocalRun(run)?.events).toHaveLength(2);
  });

  test('another window takes the lead: this one follows, adds nothing, and can take it again', async () => {
    const { session, run } = await begun();
    storeLocalRun(elsewhere(run, { id: 'other-paused', atMs: Date.now(), kind: 'paused' }));
    (window as unknown as EventTarget).dispatchEvent(new Event('storage'));
    expect([session.leading.value, session.state.value.status]).toEqual([false, 'paused']);
    expect(session.happen({ kind: 'resumed' })).toBe(false);
    session.lead();
    expect([session.leading.value, last(session)]).toMatchObject([true, { kind: 'led', by: ME }]);
    expect(session.happen({ kind: 'resumed' })).toBe(true);
  });

  test('a lead that was taken and not told of yet is seen before anything is added', async () => {
    const { session, run } = await begun();
    storeLocalRun(elsewhere(run));
    expect(session.happen({ kind: 'paused' })).toBe(false);
    expect([session.leading.value, session.state.value.status]).toEqual([false, 'running']);
  });

  test('what another device did comes from the server, before what was not sent', async () => {
    const { session } = await begun();
    await settle();
    arrived.push({ id: 'by-the-phone', atMs: Date.now(), kind: 'noted', text: 'from the phone' });
    await pass(6000);
    await settle();
    expect(session.local.value?.events.map(({ id }) => id)).toContain('by-the-phone');
    expect(session.leading.value).toBe(true);
    arrived.push({ id: 'lead-of-phone', atMs: Date.now(), kind: 'led', by: 'phone window' });
    await pass(6000);
    await settle();
    expect(session.leading.value).toBe(false);
  });

  test('a device whose clock is five minutes ahead takes over and gives back: nothing jumps, nothing is deaf', async () => {
    const ahead = 5 * 60_000;
    const { session: first, run } = await begun();
    await settle();
    clockOfSession = () => Date.now() - ahead;
    // From here on the test looks through the clock of the second device.
    jumpClock(ahead);
    const second = opened(plan, { first: { me: 'phone window', run: { ...run, acknowledged: 2 }, elsewhere: true } });
    await pass(3000);
    await settle();
    const lead = second.lead;
    lead();
    expect(second.state.value.groupIntoMs).toBeLessThan(60_000);
    const [handover, clockSet] = second.local.value!.events.slice(-2);
    expect(handover).toMatchObject({ kind: 'led', by: 'phone window', window: 'phone window' });
    expect(handover!.atMs).toBeLessThan(START + 60_000);
    expect(clockSet).toMatchObject({ kind: 'clockSet', byMs: ahead });
    // Reloaded there, the clock is the same without asking anybody.
    expect(excludedMs(second.local.value!.events, 'phone again')).toBe(ahead);
    expect(excludedMs(second.local.value!.events, ME)).toBe(0);
    expect(first.run.value.status).toBe('running');
  });

  test('without a line everything goes on; it is told, and sent when the line is back', async () => {
    browser.answer = () => 'unreachable';
    const { session } = await begun();
    expect(session.trouble.value).toContain('The session is kept here and sent later');
    session.next();
    await pass(1000);
    expect(arrived).toEqual([]);
    browser.answer = serve;
    await pass(6000);
    await settle();
    expect(arrived.map(({ kind }) => kind)).toEqual(['started', 'led', 'jumped']);
    expect(session.trouble.value).toBe('');
  });

  test('a browser without room: it is told, and the server has it all the same', async () => {
    const session = opened();
    browser.local.fill();
    session.pauseOrGoOn();
    await settle();
    expect(session.trouble.value).toContain('no room');
    expect(arrived.map(({ kind }) => kind)).toEqual(['started', 'led']);
  });

  test('ended, nothing of it stays in this browser once the server has it', async () => {
    const { session, run } = await begun();
    session.happen({ kind: 'ended' });
    await settle();
    expect([readLocalRun(run), arrived.at(-1)?.kind]).toEqual([undefined, 'ended']);
  });
});
