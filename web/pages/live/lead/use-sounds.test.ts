import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { nextTick } from 'vue';
import type { ToneKind } from '#core/breath';
import type { Plan } from '#core/plan';
import { cuesAhead } from '#core/run';
import { DEFAULT_RULES } from '#core/timeline';
import { TEMPLATES } from '#library';
import { fakeAudio, type Tone } from '../../../../tests/support/audio';
import { fakeBrowser } from '../../../../tests/support/browser';
import { mounted, type Mounted } from '../../../../tests/support/mounted';
import { makeSounds, type Sounds } from '../../../widgets/sound/sounds';
import { rehearsalClock, steadyClock, type SessionClock } from '../../../widgets/session/session-clock';
import { useSession, type Session } from '../use-session';
import { useSounds } from './use-sounds';
import { useSpoken } from './use-spoken';

const START = Date.UTC(2026, 10, 26, 18, 0);
const template = (id: string): Plan => TEMPLATES.find((one) => one.id === id)!.plan;
const moment = new Date(START).toISOString();
let open: Mounted<unknown>[];
let tones: Tone[];
let shaken: number[];
let spoken: string[];
let fellSilent: number;

interface Heard {
  session: Session;
  sounds: Sounds;
  made: ReturnType<typeof useSounds>;
}
async function opened(
  plan: Plan,
  {
    clock = steadyClock(),
    wanted = () => true,
    elsewhere = false,
    shakes = false,
    speaks = false,
    touched = true,
  }: {
    clock?: SessionClock;
    wanted?: (kind: ToneKind) => boolean;
    elsewhere?: boolean;
    shakes?: boolean;
    speaks?: boolean;
    touched?: boolean;
  } = {},
): Promise<Heard> {
  const sounds = makeSounds();
  if (touched) await sounds.wake();
  const one = mounted((): Heard => {
    const session = useSession(
      { id: 'p', revision: 1, createdAt: moment, updatedAt: moment, document: plan },
      () => DEFAULT_RULES.bells,
      () => 'never',
      clock,
      { me: 'here', run: undefined, elsewhere },
    );
    useSpoken(session, () => speaks);
    const made = useSounds(session, sounds, wanted, () => ({
      sound: { sort: 'bowl', pitch: 1, length: 1 },
      shakes,
    }));
    return { session, sounds, made };
  });
  open.push(one);
  return one.used;
}
async function pass(ms: number): Promise<void> {
  await jest.advanceTimersByTimeAsync(ms);
  await nextTick();
}
/** Moments at which something begins to sound, in milliseconds since the class began, each once. */
const begins = (sort: (tone: Tone) => boolean = () => true): number[] =>
  [...new Set(tones.filter(sort).map(({ from }) => Math.round(from * 1000)))].sort((a, b) => a - b);
/** A struck bell is of pure tones; the breath is not. */
const isBell = ({ type }: Tone): boolean => type === 'sine';
const isTone = (tone: Tone): boolean => !isBell(tone);

beforeEach(() => {
  jest.useFakeTimers({ now: START });
  setActivePinia(createPinia());
  fakeBrowser();
  [open, shaken, spoken, fellSilent] = [[], [], [], 0];
  tones = fakeAudio(() => (Date.now() - START) / 1000);
  Object.defineProperty(globalThis, 'window', { value: new EventTarget(), configurable: true });
  Object.defineProperty(navigator, 'vibrate', { value: () => shaken.push(Date.now() - START), configurable: true });
  const speechSynthesis = {
    speak: ({ text }: { text: string }) => spoken.push(text),
    cancel: () => fellSilent++,
    getVoices: () => [{}],
  };
  Object.defineProperty(globalThis, 'speechSynthesis', { value: speechSynthesis, configurable: true });
  Object.defineProperty(globalThis, 'SpeechSynthesisUtterance', {
    value: class {
      constructor(readonly text: string) {}
    },
    configurable: true,
  });
});
afterEach(() => {
  for (const { unmount } of open) unmount();
  jest.useRealTimers();
});

/** When the bells of a plan that is led as it stands are due, in milliseconds since it began. */
function dueBells({ session }: Heard, untilMs: number): number[] {
  const cues = cuesAhead(DEFAULT_RULES, session.run.value, START, untilMs);
  return [...new Set(cues.flatMap((cue) => (cue.kind === 'bell' ? [cue.atMs - START] : [])))];
}

describe('bells', () => {
  test('each begins at its moment to the millisecond, whenever the ticks fall, and none is rung twice', async () => {
    const heard = await opened(template('restorative'));
    await pass(137);
    heard.session.pauseOrGoOn();
    const began = Date.now() - START;
    const due = dueBells(heard, 25 * 60_000);
    const untilMs = began + 20 * 60_000;
    for (let passed = 0; passed < 20 * 60_000;) {
      const ms = 150 + ((passed * 7919) % 400);
      await pass(ms);
      passed += ms;
    }
    const expected = due.filter((atMs) => atMs < untilMs);
    expect(expected.length).toBeGreaterThan(8);
    const rung = begins(isBell).filter((atMs) => atMs < untilMs);
    expect(rung).toEqual(expect.arrayContaining(expected));
    const strokes = new Set(expected.flatMap((atMs) => [0, 350, 700, 900].map((delayMs) => atMs + delayMs)));
    expect(rung.filter((atMs) => !strokes.has(atMs))).toEqual([]);
    const keys = tones.filter(isBell).map(({ hertz, from }) => `${hertz} at ${from}`);
    expect(new Set(keys).size).toBe(keys.length);
  });

  test('a page nobody has touched is silent, says so, and wakes with the next touch', async () => {
    const { session, sounds, made } = await opened(template('restorative'), { touched: false });
    session.pauseOrGoOn();
    await pass(1000);
    expect([made.silent.value, tones]).toEqual([true, []]);
    await sounds.wake();
    await pass(400);
    expect(made.silent.value).toBe(false);
  });

  test('the light pulses with a bell and a phone shakes, where that is wanted', async () => {
    const heard = await opened(template('restorative'), { shakes: true });
    const { session, made } = heard;
    session.pauseOrGoOn();
    const [first = 0] = dueBells(heard, 300_000);
    await pass(first + 400);
    expect(made.pulse.value).toBe(true);
    expect(shaken).toEqual([first]);
    await pass(1500);
    expect(made.pulse.value).toBe(false);
    expect(shaken).toHaveLength(1);
  });

  test('a bell by hand rings now', async () => {
    const { made } = await opened(template('restorative'));
    await pass(5000);
    made.ring('end');
    await pass(0);
    expect(begins(isBell)).toEqual([5000]);
    expect(made.pulse.value).toBe(true);
  });

  test('what was due while nothing could sound is not sounded late', async () => {
    const { session } = await opened(template('restorative'));
    session.pauseOrGoOn();
    await pass(1000);
    const before = begins().length;
    jest.setSystemTime(Date.now() + 11 * 60_000);
    await pass(200);
    const now = Date.now() - START;
    expect(
      begins()
        .slice(before)
        .every((atMs) => atMs >= now - 400),
    ).toBe(true);
  });

  test('another window leads: this one is silent', async () => {
    const { session } = await opened(template('restorative'), { elsewhere: true });
    expect(session.leading.value).toBe(false);
    await pass(60_000);
    expect(tones).toEqual([]);
  });
});

describe('tones of the breath', () => {
  const toBreath = ({ session }: Heard): void => {
    const phase = session.timeline.phases.findIndex(({ kind }) => kind === 'in');
    session.happen({ kind: 'jumped', phase });
  };
  test('in and out follow each other without a gap of more than a blink, and end with their phase', async () => {
    const heard = await opened(template('yin'), { wanted: (kind) => kind !== 'count' });
    heard.session.pauseOrGoOn();
    toBreath(heard);
    await pass(30_000);
    // The first had begun when the page saw it.
    const breaths = tones.filter(isTone).slice(1);
    expect(breaths.length).toBeGreaterThanOrEqual(5);
    breaths.forEach(({ hertz, from, until }, i) => {
      expect(until - from).toBeCloseTo(5, 6);
      const before = breaths[i - 1];
      if (before) expect([before.hertz === hertz, Math.abs(from - before.until) < 0.001]).toEqual([false, true]);
    });
  });

  test('a metronome ticks at every count, one second after the other', async () => {
    const heard = await opened(template('yin'), { wanted: (kind) => kind === 'count' });
    heard.session.pauseOrGoOn();
    toBreath(heard);
    await pass(12_000);
    const ticks = tones.flatMap(({ hertz, from }) => (hertz === 880 ? [from] : [])).slice(1);
    expect(ticks.length).toBeGreaterThanOrEqual(10);
    ticks.slice(1).forEach((from, i) => expect(from - ticks[i]!).toBeCloseTo(1, 3));
  });

  test('a pause silences the breath at once; going on begins it again', async () => {
    const heard = await opened(template('yin'));
    heard.session.pauseOrGoOn();
    toBreath(heard);
    await pass(7000);
    heard.session.pauseOrGoOn();
    await pass(0);
    const now = (Date.now() - START) / 1000;
    expect(tones.filter(isTone).every(({ until }) => until <= now + 1e-6)).toBe(true);
    await pass(20_000);
    expect(begins(isTone).every((atMs) => atMs / 1000 <= now)).toBe(true);
    heard.session.pauseOrGoOn();
    await pass(4000);
    expect(begins(isTone).some((atMs) => atMs / 1000 > now + 19)).toBe(true);
  });

  test('only those that are wanted are heard', async () => {
    const heard = await opened(template('yin'), { wanted: (kind) => kind === 'out' });
    heard.session.pauseOrGoOn();
    toBreath(heard);
    await pass(30_000);
    const hertz = new Set(tones.filter(isTone).map((tone) => Math.round(tone.hertz)));
    expect([...hertz]).toEqual([294]);
  });

  test('a fast rehearsal has its bells and no flutter of breath', async () => {
    const heard = await opened(template('yin'), { clock: rehearsalClock(60) });
    heard.session.pauseOrGoOn();
    await pass(10_000);
    expect(tones.some(isBell)).toBe(true);
    expect(tones.filter(({ hertz }) => hertz === 196)).toEqual([]);
    heard.session.clock.setSpeed(2);
    toBreath(heard);
    await pass(10_000);
    expect(tones.some(({ hertz }) => hertz === 196)).toBe(true);
  });
});

describe('prompts', () => {
  const withPrompts = template('restorative');

  test('are spoken once, as they are due, and not where that is not wanted', async () => {
    const { session } = await opened(withPrompts, { speaks: true });
    await opened(withPrompts);
    session.pauseOrGoOn();
    const cues = cuesAhead(DEFAULT_RULES, session.run.value, START, 16 * 60_000 - 3000);
    const due = cues.flatMap((cue) => (cue.kind === 'prompt' ? [cue.text] : []));
    await pass(16 * 60_000);
    expect(due.length).toBeGreaterThan(1);
    expect(spoken.slice(0, due.length)).toEqual(due);
    expect(spoken.length - due.length).toBeLessThanOrEqual(1);
  });

  test('leaving what was being said ends it', async () => {
    const { session } = await opened(withPrompts, { speaks: true });
    session.pauseOrGoOn();
    await pass(1000);
    expect(fellSilent).toBe(0);
    session.next();
    await nextTick();
    expect(fellSilent).toBe(1);
  });
});
