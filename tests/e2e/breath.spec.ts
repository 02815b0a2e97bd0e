/// <reference lib="dom" />
import { expect, test, type Page } from '@playwright/test';
import { build } from 'vite';
import { breathProgram, easyBreath, tonesOf, type BreathMeasure, type BreathPractice, type Tone } from '#core/breath';
import type { BreathStep } from '#core/plan';
import { compileTimeline, type Phase } from '#core/timeline';
import { builtInLibrary, TEMPLATES } from '#library';
import { PEOPLE, StoredRun } from '#api';
import { choose, newPlan, openPlan, openTab, passMs, rows, saved, storedPlan } from './support';

const BEGIN = new Date('2026-12-12T10:00:00Z');

/** The planned moments of a session, to go to on the fake clock. */
async function led(page: Page, id: string) {
  await page.clock.install({ time: BEGIN });
  await page.goto(`/teach/${id}`);
  await expect(page.getByRole('button', { name: 'Begin' }).first()).toBeVisible();
  await page.clock.pauseAt(BEGIN.getTime() + 60_000);
  let passedMs = 0;
  return {
    /** Lets the clock pass to so many milliseconds after the beginning. */
    async to(ms: number): Promise<void> {
      await passMs(page, ms - passedMs);
      passedMs = ms;
    },
    /** The session is so much ahead or behind from now on. */
    shift(ms: number): void {
      passedMs += ms;
    },
  };
}

test('a workshop of every shape of breath, taught to its end', async ({ page, request }) => {
  test.setTimeout(240_000);
  const { id, document } = await newPlan(request, 'workshop', { title: 'Every shape' });
  const timeline = compileTimeline(document, builtInLibrary);
  const phase = (step: number, kind: Phase['kind'], nth = 0): Phase => {
    const found = timeline.phases.filter((one) => one.stepIndex === step && one.kind === kind)[nth];
    if (!found) throw new Error(`no ${kind} in step ${step}`);
    return found;
  };
  const session = await led(page, id);
  const [word, detail, count] = [page.locator('.word'), page.locator('.detail'), page.locator('.count')];
  await page.keyboard.press('Space');

  // Three parts: four watched breaths, then six with closed eyes, into the belly first.
  await session.to(phase(1, 'ownPace').startMs + 1000);
  await expect(page.getByText('belly, watched · both hands on the belly · eyes open')).toBeVisible();
  await expect(detail).toHaveText('4 breaths, as they come');
  await expect(page.getByRole('img', { name: 'Felt in the belly' })).toBeVisible();
  await session.to(phase(1, 'ownPace', 1).startMs + 1000);
  await expect(detail).toHaveText('6 breaths, as they come');
  await expect(page.getByText('eyes closed')).toBeVisible();

  // Pumps: ticks on the ground, one lit for each.
  await session.to(phase(2, 'strokes').startMs + 9500);
  await expect(word).toHaveText('Pumps');
  await expect(count).toHaveText('10');
  await expect(page.locator('.tick')).toHaveCount(30);
  await expect(page.locator('.tick.on')).toHaveCount(10);

  // Alternate nostrils: the out-breath grows from four counts to eight, the nostril is shown by place.
  await session.to(phase(3, 'in').startMs + 1500);
  await expect(detail).toHaveText('left nostril');
  await expect(page.locator('.half-left')).toBeVisible();
  await expect(page.locator('.stone')).toHaveCount(8);
  await expect(page.getByText('8 more rounds')).toBeVisible();
  await session.to(phase(3, 'out', 17).startMs + 7500);
  await expect(word).toHaveText('Out');
  await expect(count).toHaveText('8');
  await expect(page.locator('.half-left')).toBeVisible();
  await expect(page.getByText('the last round')).toBeVisible();

  // Throat breaths at their own pace, then empty as long as easy: the teacher ends it after seven seconds.
  await session.to(phase(4, 'ownPace').startMs + 1000);
  await expect(detail).toHaveText('12 breaths, as they come, throat sound');
  const hold = phase(4, 'retention');
  await session.to(hold.startMs + 7200);
  await expect(word).toHaveText('Hold empty');
  await expect(detail).toHaveText('as long as it is easy');
  await expect(count).toHaveText('0:07');
  await page.getByRole('button', { name: 'End this hold' }).click();
  session.shift(hold.endMs - hold.startMs - 7200);
  await expect(word).toHaveText('Recover');

  // The counted series: in on the in-breath, held full, on the left and then on the right.
  await session.to(phase(5, 'holdFull').startMs + 2500);
  await expect(page.getByRole('img', { name: 'Seated side bend left' })).toBeVisible();
  await expect(count).toHaveText('3');
  await expect(detail).toHaveText('stay');
  await session.to(phase(5, 'in', 4).startMs + 500);
  await expect(page.getByRole('img', { name: 'Seated side bend right' })).toBeVisible();
  await expect(detail).toHaveText('move in');

  // An even count inside the legs at the wall, after half a minute of settling.
  const wall = phase(7, 'hold');
  await session.to(wall.startMs + 10_000);
  await expect(page.getByText('Even breath in 0:20')).toBeVisible();
  await session.to(wall.startMs + 30_000 + 2500);
  await expect(page.locator('.inside')).toContainText('3 In');
  await session.to(wall.startMs + 30_000 + 8500);
  await expect(page.locator('.inside')).toContainText('4 Out');
  await expect(page.getByRole('timer')).toHaveText('6:22');

  await session.to(timeline.totals.totalMs + 1000);
  await expect(page.getByText('The plan is over', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'End the session' }).click();
  await expect(page).toHaveURL(/\/history\//);
  const run = StoredRun.parse(await (await request.get(`/api/v1/runs/${page.url().split('/').at(-1)}`)).json());
  expect(run.events.map(({ kind }) => kind)).toEqual(['started', 'led', 'cut', 'ended']);
});

const breathOf = async (request: Parameters<typeof storedPlan>[0], id: string, step: number): Promise<BreathStep> =>
  (await storedPlan(request, id)).document.steps[step] as BreathStep;

test.describe('the breath editor', () => {
  test('the wave is pulled by its corners with the mouse, and moved with the keys', async ({ page, request }) => {
    const { id } = await newPlan(request, 'yin');
    await openPlan(page, id);
    await rows(page).nth(1).click();
    const out = page.getByRole('slider', { name: 'End of the out-breath' });
    await expect(out).toHaveAttribute('aria-valuenow', '5');
    await out.scrollIntoViewIfNeeded();
    const from = (await out.locator('.knob').boundingBox())!;
    const tick = page.locator('.wave .tick');
    const [first, second] = [(await tick.nth(0).boundingBox())!, (await tick.nth(1).boundingBox())!];
    const px = second.x - first.x;
    await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
    await page.mouse.down();
    await page.mouse.move(from.x + from.width / 2 + 3 * px + 2, from.y, { steps: 6 });
    await page.mouse.up();
    await expect(page.getByLabel('out', { exact: true })).toHaveValue('8');
    await page.keyboard.press('Control+z');
    await expect(page.getByLabel('out', { exact: true })).toHaveValue('5');
    const full = page.getByRole('slider', { name: 'End of the full hold' });
    await full.focus();
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('ArrowRight');
    await expect(page.getByLabel('hold full')).toHaveValue('2');
    await page.keyboard.press('ArrowLeft');
    await expect(full).toHaveAttribute('aria-valuetext', '1 counts');
    await saved(page);
    expect((await breathOf(request, id, 1)).practice.sets[0]?.parts[0]).toMatchObject({ in: 5, holdFull: 1, out: 5 });
  });

  test('a ratio is typed, kept while one count changes, and asked about where it is not clear', async ({
    page,
    request,
  }) => {
    const { id } = await newPlan(request, 'yin');
    await openPlan(page, id);
    await rows(page).nth(1).click();
    const ratio = page.getByLabel('as a ratio');
    const counts = () =>
      Promise.all(
        ['in', 'hold full', 'out', 'hold empty'].map((label) => page.getByLabel(label, { exact: true }).inputValue()),
      );
    await ratio.fill('1:4:2');
    await page.keyboard.press('Enter');
    await expect(ratio).toHaveValue('5-20-10');
    expect(await counts()).toEqual(['5', '20', '10', '0']);
    await ratio.fill('4-16-8-4');
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('hold empty')).toHaveValue('4');
    await page.getByLabel('keep the ratio').check();
    await page.getByLabel('in', { exact: true }).fill('3');
    await page.keyboard.press('Enter');
    await expect(ratio).toHaveValue('3-12-6-3');
    await ratio.fill('1:2');
    await page.keyboard.press('Enter');
    await expect(page.getByText('In 1 and out 2, without a hold?')).toBeVisible();
    await expect(page.getByLabel('hold full')).toHaveValue('12');
    await page.getByRole('button', { name: 'Yes' }).click();
    expect(await counts()).toEqual(['3', '0', '6', '0']);
    await ratio.fill('0:0:0:0');
    await page.keyboard.press('Enter');
    await expect(page.getByText('A ratio begins with an in-breath.')).toBeVisible();
    await expect(ratio).toHaveValue('0:0:0:0');
    await page.getByLabel('keep the ratio').uncheck();
    await page.getByLabel('out', { exact: true }).fill('2.5');
    await page.keyboard.press('Enter');
    await expect(page.getByText('Counts are whole numbers.')).toBeVisible();
  });

  test('a count is tapped; a set grows over its rounds; strokes past the limit are refused at their field', async ({
    page,
    request,
  }) => {
    await page.clock.install({ time: BEGIN });
    const { id } = await newPlan(request, 'yin');
    await openPlan(page, id);
    await rows(page).nth(1).click();
    await page.clock.pauseAt(BEGIN.getTime() + 60_000);
    const tap = page.getByRole('button', { name: 'Tap the beat' });
    for (let i = 0; i < 4; i++) {
      await tap.dispatchEvent('pointerdown');
      await page.clock.runFor(1200);
    }
    await expect(page.getByLabel('Seconds a count')).toHaveValue('1.2');
    await choose(page.getByRole('combobox', { name: 'over the rounds' }), 'the out-breath');
    await page.getByLabel('Counts at the end').fill('61');
    await page.keyboard.press('Enter');
    await expect(page.getByText('A phase has at most 60 counts.')).toBeVisible();
    await page.getByLabel('Counts at the end').fill('10');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: /in 5, out 5 to 10/ })).toBeVisible();
    await choose(page.getByRole('combobox', { name: 'Add a part' }), 'Pumps');
    await page.getByLabel('a minute', { exact: true }).fill('190');
    await page.keyboard.press('Enter');
    await expect(page.getByText('At most 180 pumps a minute.')).toBeVisible();
    await page.getByLabel('a minute', { exact: true }).fill('120');
    await page.keyboard.press('Enter');
    await expect(page.getByText('1 round = in, out, 30 pumps')).toBeVisible();
    await expect(page.getByRole('list', { name: 'Please check' })).toContainText('Pumps go at 120 a minute');
    await page.getByLabel('rounds', { exact: true }).fill('201');
    await page.keyboard.press('Enter');
    await expect(page.getByText('A set has at most 200 rounds.')).toBeVisible();
    await page.clock.runFor(5000);
    await expect
      .poll(async () => (await breathOf(request, id, 1)).practice)
      .toMatchObject({
        countSeconds: 1.2,
        sets: [{ ramp: { of: 'out', to: 10 }, parts: [{ kind: 'cycle' }, { kind: 'strokes', perMinute: 120 }] }],
      });
  });

  test('presets, a technique taught in steps, and a try with the pacer', async ({ page, request }) => {
    const { id } = await newPlan(request, 'breath');
    await openPlan(page, id);
    await rows(page).filter({ hasText: 'Throat breath' }).click();
    await page.getByRole('button', { name: 'As usual' }).click();
    await expect(page.getByLabel('Length and load')).toContainText('2:00');
    await page.getByRole('button', { name: 'Half the rounds' }).click();
    await expect(page.getByLabel('Length and load')).toContainText('1:00');
    // Each choice is one step of undo.
    await page.keyboard.press('Control+z');
    await expect(page.getByLabel('Length and load')).toContainText('2:00');
    await page.keyboard.press('Control+Shift+z');
    await expect(page.getByLabel('Length and load')).toContainText('1:00');
    await openTab(page, 'Cues');
    await page.getByRole('button', { name: 'Teach it in steps' }).click();
    await expect(page.getByRole('button', { name: /Whispered out/ })).toBeVisible();
    await page.getByRole('button', { name: 'Try it' }).click();
    const dialog = page.getByRole('dialog', { name: /Try it/ });
    await expect(dialog.locator('.word')).toHaveText('Own pace');
    await dialog.getByRole('button', { name: 'Pause' }).click();
    await expect(dialog.locator('.word')).toHaveText('Paused');
    await page.keyboard.press('Escape');
    await expect(dialog).toBeHidden();
  });

  test('a breath inside a hold, a hold told in breaths, a position moved by the breath', async ({ page, request }) => {
    const { id } = await newPlan(request, 'yin');
    await openPlan(page, id);
    await rows(page).nth(2).click();
    await openTab(page, 'Breath');
    await choose(page.getByRole('combobox', { name: 'Breathing during the hold' }), /^Even breath/);
    await expect(page.getByText('26 breaths at 7.5 a minute, the last ends 0:02 before the hold does.')).toBeVisible();
    await openTab(page, 'Hold');
    await page.getByLabel('measured in breaths').check();
    await openTab(page, 'Breath');
    const both = page.getByLabel('Both sides', { exact: true });
    await expect(both).toHaveValue('40 breaths');
    await both.fill('4 breaths');
    await page.keyboard.press('Enter');
    await expect(page.getByText('Not one whole breath fits.')).toBeVisible();
    await expect(page.getByText('Even breath does not fit')).toBeVisible();
    await both.fill('2:00');
    await page.keyboard.press('Enter');
    await expect(both).toHaveValue('20 breaths');
    await rows(page).nth(1).click();
    await choose(page.getByRole('combobox', { name: 'Position', exact: true }), 'Seated side bend');
    await choose(page.getByRole('combobox', { name: 'Sides', exact: true }), 'all on one side, then the other');
    await saved(page);
    const { document } = await storedPlan(request, id);
    expect(document.steps[1]).toMatchObject({ moves: { position: 'seated-side-bend', sides: 'each' } });
    expect(document.steps[2]).toMatchObject({ breathSeconds: 6, sides: { seconds: 120 }, breath: { fill: true } });
  });
});

test.describe('measuring a breath', () => {
  test('a simulated breather is measured, kept with the date, and the ladder says what suits', async ({
    page,
    request,
  }) => {
    test.setTimeout(90_000);
    await page.clock.install({ time: BEGIN });
    await page.goto('/people');
    await page.getByLabel('Name of a new person').fill(`Wilf Tarrant ${Date.now()}`);
    await page.getByRole('button', { name: 'Add' }).click();
    await expect(page.getByText('Not measured yet')).toBeVisible();
    await page.getByRole('button', { name: 'Measure the breath' }).click();
    // A simulated breath is shown, and is nobody's.
    await choose(page.getByRole('combobox', { name: 'Without a person' }), 'Long, a singer');
    await page.getByRole('button', { name: 'Simulate' }).click();
    const nobodys = page.getByText('it is shown, and not kept');
    for (let i = 0; i < 260 && !(await nobodys.isVisible()); i++) await page.clock.fastForward(1000);
    await expect(page.getByRole('button', { name: 'Save' })).toHaveCount(0);
    await page.getByRole('button', { name: 'Start again' }).click();
    // Tapped by hand: seven breaths, and three holds of twelve seconds.
    await page.clock.pauseAt(BEGIN.getTime() + 600_000);
    for (let i = 0; i < 7; i++) {
      for (const seconds of [6, 9]) {
        await page.keyboard.press('Space');
        await page.clock.runFor(seconds * 1000);
      }
    }
    await page.keyboard.press('Space');
    await page.getByRole('button', { name: 'Enough', exact: true }).click();
    for (let i = 0; i < 3; i++) {
      await page.getByRole('button', { name: 'Hold full', exact: true }).click();
      await page.clock.runFor(12_000);
      await page.getByRole('button', { name: 'End the hold' }).click();
    }
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('heading', { name: /Easy breath/ })).toBeVisible();
    // Near the easy six in and nine out; a hold of four times the in-breath would be longer than is easy.
    // It would suit, and comes after easy sessions at the ratio before it.
    await expect(page.getByRole('row', { name: /^1 : 1 : 2 \d/ })).toContainText(
      'after 7 easy sessions at 4 : 2 : 8; 0 so far',
    );
    await expect(page.getByRole('row', { name: /^1 : 4 : 2 (?!:)/ })).toContainText(/The hold would be 19\.\d s/);
    const path = `/api/v1/people/${page.url().split('/').at(-1)}`;
    const breaths = async () => PEOPLE.stored.parse(await (await request.get(path)).json()).document.breaths;
    await expect.poll(async () => (await breaths()).length).toBe(1);
    const [measure] = (await breaths()) as [BreathMeasure];
    expect(measure.in).toHaveLength(7);
    expect(measure.measuredAt).toMatch(/^2026-12-12T10:/);
    expect(easyBreath(measure).holdFull).toBeGreaterThan(10);
  });

  test('who strains is stopped kindly and told why; nothing of the strain is kept', async ({ page }) => {
    test.setTimeout(90_000);
    await page.clock.install({ time: BEGIN });
    await page.goto('/people/demo-odo');
    await page.getByRole('button', { name: 'Measure the breath' }).click();
    await choose(page.getByRole('combobox', { name: 'Without a person' }), 'Short, and strains');
    await page.getByRole('button', { name: 'Simulate' }).click();
    for (let i = 0; i < 150 && !(await page.getByRole('alert').isVisible()); i++) await page.clock.fastForward(500);
    await expect(page.getByRole('alert')).toContainText('longer than the longest before it');
    await expect(page.getByRole('button', { name: 'Hold full', exact: true })).toHaveCount(0);
    await expect(page.getByRole('region', { name: 'Hold full' }).last().getByRole('button')).toHaveCount(2);
  });

  test('tapped by hand with the keys, and held down through the in-breath', async ({ page }) => {
    await page.clock.install({ time: BEGIN });
    await page.goto('/people/demo-odo');
    await page.getByRole('button', { name: 'Measure the breath' }).click();
    await expect(page.locator('.pad')).toBeFocused();
    await page.clock.pauseAt(BEGIN.getTime() + 60_000);
    // Two breaths by taps, four by holding: in 2 s, out 3 s.
    for (let i = 0; i < 2; i++) {
      await page.keyboard.press('Space');
      await page.clock.runFor(2000);
      await page.keyboard.press('Space');
      await page.clock.runFor(3000);
    }
    for (let i = 0; i < 4; i++) {
      await page.keyboard.down('Space');
      await page.clock.runFor(2000);
      await page.keyboard.up('Space');
      await page.clock.runFor(3000);
    }
    await page.getByRole('button', { name: 'Enough', exact: true }).click();
    const inBreaths = page.getByRole('dialog').getByRole('region', { name: 'In' });
    await expect(inBreaths).toContainText('2.0 s very steady');
    await expect(inBreaths.getByRole('button')).toHaveCount(5);
    await inBreaths.getByRole('button').first().click();
    await expect(page.getByText('At least 5 breaths are needed.')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Save' })).toBeDisabled();
  });

  test('the ladder is the house’s: changed, refused with a reason, undone', async ({ page, request }) => {
    await page.goto('/settings?group=breath');
    const second = page.getByLabel('Ratio 2', { exact: true });
    await expect(second).toHaveValue('2 : 0 : 3');
    await second.fill('0:1:1');
    await page.keyboard.press('Enter');
    await expect(page.getByText('A ratio begins with an in-breath.')).toBeVisible();
    await second.fill('3:0:4');
    await page.keyboard.press('Enter');
    await expect(second).toHaveValue('3 : 0 : 4');
    await page.getByLabel('holding more than').fill('140');
    await page.keyboard.press('Enter');
    await expect(page.getByText('At most 100 %.')).toBeVisible();
    const stored = async () => (await (await request.get('/api/v1/settings')).json()).document.breath.ladder[1].ratio;
    await expect.poll(stored).toMatchObject({ in: 3, out: 4 });
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect.poll(stored).toMatchObject({ in: 2, out: 3 });
  });
});

test('tones sound at their moments: an offline render against the program, within 20 ms', async ({ page }) => {
  const workshop = TEMPLATES.find(({ id }) => id === 'workshop')!.plan;
  const practiceOf = (step: number): BreathPractice => (workshop.steps[step] as BreathStep).practice;
  const tones = [2, 3].flatMap((step): Tone[] => {
    const from = step === 2 ? 0 : 200_000;
    return breathProgram(practiceOf(step))
      .filter(({ endMs }) => endMs <= 110_000)
      .flatMap((phase) =>
        tonesOf(phase, phase.endMs - phase.startMs).map((tone) => ({
          ...tone,
          atMs: from + phase.startMs + tone.atMs,
        })),
      );
  });
  const built = await build({
    configFile: false,
    logLevel: 'silent',
    build: {
      write: false,
      lib: { entry: 'web/widgets/sound/breath-tone.ts', formats: ['iife'], name: 'breathTone' },
    },
  });
  const { output } = (Array.isArray(built) ? built[0] : built) as { output: { code: string }[] };
  await page.goto('about:blank');
  const onsets = await page.evaluate(
    async ({ code, heard }) => {
      const RATE = 24_000;
      const { playTone } = new Function(`${code}; return breathTone;`)() as {
        playTone: (audio: BaseAudioContext, out: AudioNode, kind: string, at: number, seconds: number) => void;
      };
      const seconds = Math.max(...heard.map(({ atMs, lengthMs }) => atMs + lengthMs)) / 1000 + 1;
      const audio = new OfflineAudioContext(1, Math.ceil(RATE * seconds), RATE);
      for (const { kind, atMs, lengthMs } of heard)
        playTone(audio, audio.destination, kind, atMs / 1000, lengthMs / 1000);
      const samples = (await audio.startRendering()).getChannelData(0);
      // A tone begins where the sound comes out of at least 15 ms of silence.
      const WINDOW = RATE / 500;
      const found: number[] = [];
      let quiet = 100;
      for (let from = 0; from + WINDOW <= samples.length; from += WINDOW) {
        let most = 0;
        for (let i = from; i < from + WINDOW; i++) most = Math.max(most, Math.abs(samples[i]!));
        if (most > 0.002) {
          if (quiet >= 7) found.push((from * 1000) / RATE);
          quiet = 0;
        } else quiet++;
      }
      return found;
    },
    { code: output[0]!.code, heard: tones },
  );
  expect(tones.length).toBeGreaterThan(80);
  expect(onsets).toHaveLength(tones.length);
  const off = tones.map(({ atMs }, i) => Math.abs(onsets[i]! - atMs));
  expect(Math.max(...off)).toBeLessThan(20);
});
