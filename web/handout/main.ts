import type { Handout, HandoutLength } from '#core/exchange';
import { clockOfMs, spokenMs } from '#core/time';
import { USUAL_BELL } from '../state/bell-sound';
import { ringBell } from '../widgets/sound/bell';
import './handout.css';
import { leader, type Moment } from './lead';

/** The program inside a handout: it offers the time at hand, and leads through the steps. */

const byId = (id: string): HTMLElement => {
  const element = document.getElementById(id);
  if (!element) throw new Error(`The page has no ${id}.`);
  return element;
};
function make<K extends keyof HTMLElementTagNameMap>(
  tag: K,
  properties: Partial<HTMLElementTagNameMap[K]> = {},
  ...children: (Node | string)[]
): HTMLElementTagNameMap[K] {
  const element = Object.assign(document.createElement(tag), properties);
  element.append(...children);
  return element;
}

const handout = JSON.parse(byId('handout').textContent) as Handout;
const figures = [...document.querySelectorAll<SVGElement>('.steps > li > .figure')];
let length = handout.lengths.at(-1) as HandoutLength;

// The theme: as the device has it, until it is changed.
const root = document.documentElement;
root.classList.toggle('night', matchMedia('(prefers-color-scheme: dark)').matches);
const theme = make('button', { type: 'button', className: 'quiet', textContent: 'Light or dark' });
theme.addEventListener('click', () => root.classList.toggle('night'));
document.querySelector('#overview header')?.append(theme);

const minutes = (one: HandoutLength): string => `${Math.round(one.totalMs / 60_000)} minutes`;

/** The slider: everything becomes shorter together. */
function offerTimes(): void {
  const { lengths } = handout;
  const shown = make('b');
  const slider = make('input', { type: 'range', min: '0', max: String(lengths.length - 1), id: 'length' });
  slider.value = slider.max;
  const take = (): void => {
    length = lengths[Number(slider.value)] ?? length;
    shown.textContent = minutes(length);
    slider.setAttribute('aria-valuetext', minutes(length));
    for (const element of document.querySelectorAll<HTMLElement>('[data-length]'))
      element.textContent = length.steps[Number(element.dataset.length)] ?? '';
    const total = document.querySelector('.total');
    if (total) total.textContent = `${clockOfMs(length.totalMs)} in total`;
  };
  slider.addEventListener('input', take);
  take();
  const [first, last] = [lengths[0], lengths.at(-1)];
  const time = byId('time');
  if (!first || !last || lengths.length < 2) return;
  time.append(
    make('label', { htmlFor: 'length' }, 'I have ', shown, ' today'),
    slider,
    make(
      'div',
      { className: 'ends' },
      make('span', {}, minutes(first)),
      make('span', {}, `${minutes(last)}, as in class`),
    ),
  );
  time.hidden = false;
}

// Sound, and a screen that stays on.
let audio: AudioContext | undefined;
let lock: WakeLockSentinel | undefined;
async function stayAwake(on: boolean): Promise<void> {
  if (!on) {
    await lock?.release();
    lock = undefined;
  } else if ('wakeLock' in navigator) lock = await navigator.wakeLock.request('screen').catch(() => undefined);
}

const leading = byId('leading');
const view = {
  where: make('p', { className: 'where' }),
  side: make('h1', { className: 'side', tabIndex: -1 }),
  time: make('p', { className: 'clock' }),
  figure: make('div', { className: 'picture' }),
  says: make('p', { className: 'says' }),
  next: make('p', { className: 'next' }),
  edge: make('div', { className: 'edge' }),
  live: make('p', { className: 'sr' }),
};
view.live.setAttribute('role', 'status');
view.time.setAttribute('role', 'timer');
view.time.setAttribute('aria-live', 'off');
view.edge.setAttribute('aria-hidden', 'true');

/** What the big line says: what the side is, or what is done. */
function headline({ phase }: Moment): string {
  const step = handout.steps[phase.step];
  if (!step) return '';
  const { part, side } = phase;
  if (part === 'rest') return 'Rest';
  if (part === 'release') return step.kind === 'release' ? step.name : 'Release';
  if (part === 'setUp') return `Next: ${step.name}`;
  if (part === 'change') return 'Change sides';
  const means = side === 'left' || side === 'right' ? step.sides?.[side] : '';
  if (means) return means.charAt(0).toUpperCase() + means.slice(1);
  return side === 'left' || side === 'right' ? `${step.name}, ${side}` : step.name;
}
function nextInWords({ next }: Moment): string {
  const step = next && handout.steps[next.step];
  if (!next || !step) return 'then you are done';
  const side = next.side === 'left' || next.side === 'right' ? `the ${next.side} side, ` : '';
  const name = next.part === 'rest' ? 'a rest' : next.part === 'release' ? 'a release' : step.name;
  return `then ${side}${side && next.part === 'hold' ? '' : `${name}, `}${clockOfMs(next.ms)}`;
}

let lead = leader(length);
let atMs = 0;
let running = false;
let lastTick = 0;
let announced = '';

function showFigure(step: number, mirrored: boolean): void {
  const key = `${step} ${mirrored}`;
  if (view.figure.dataset.key === key) return;
  view.figure.dataset.key = key;
  const figure = figures[step];
  view.figure.replaceChildren(...(figure && figure.tagName === 'svg' ? [figure.cloneNode(true)] : []));
  view.figure.classList.toggle('mirrored', mirrored);
}

function draw(): void {
  const moment = lead.momentAt(atMs);
  if (!moment) return finish();
  const { phase, leftMs, share, totalLeftMs, says } = moment;
  view.where.textContent = `${phase.step + 1} of ${handout.steps.length} · ${clockOfMs(totalLeftMs)} to go`;
  const line = headline(moment);
  view.side.textContent = line;
  view.time.textContent = clockOfMs(Math.ceil(leftMs / 1000) * 1000);
  view.says.textContent = says;
  view.next.textContent = nextInWords(moment);
  view.edge.className = `edge ${phase.side}`;
  view.edge.style.setProperty('--share', String(share));
  showFigure(phase.step, phase.side === 'right');
  const key = `${phase.step} ${phase.part} ${phase.side}`;
  if (phase.part !== 'breath' && key !== announced) {
    announced = key;
    view.live.textContent = `${line}. ${spokenMs(phase.ms)}. ${says}`;
  }
}

const FRAME_MS = 200;
const MAX_RING_MS = 3000;
function tick(): void {
  if (!running) return;
  const now = performance.now();
  const passed = now - lastTick;
  lastTick = now;
  const from = atMs;
  atMs = Math.min(length.totalMs, atMs + passed);
  // After a sleep of the device only what is due now rings.
  if (audio && passed < MAX_RING_MS)
    for (const { kind } of lead.bellsBetween(from, atMs))
      ringBell(audio, audio.destination, kind, audio.currentTime, USUAL_BELL);
  draw();
}
let timer = 0;

const pause = make('button', { type: 'button', className: 'main', textContent: 'Pause' });
function run(on: boolean): void {
  running = on;
  lastTick = performance.now();
  pause.textContent = on ? 'Pause' : 'Resume';
  window.clearInterval(timer);
  if (on) timer = window.setInterval(tick, FRAME_MS);
  void stayAwake(on);
}
pause.addEventListener('click', () => run(!running));
function goTo(ms: number): void {
  atMs = ms;
  lastTick = performance.now();
  draw();
}
const back = make('button', { type: 'button', textContent: 'Back' });
back.addEventListener('click', () => goTo(lead.before(atMs)));
const skip = make('button', { type: 'button', textContent: 'Next' });
skip.addEventListener('click', () => goTo(lead.after(atMs)));
const leave = make('button', { type: 'button', className: 'quiet', textContent: 'Leave' });
leave.addEventListener('click', () => stop());

const begin = make('button', { type: 'button', className: 'main', textContent: 'Begin' });
begin.addEventListener('click', () => {
  audio ??= new AudioContext();
  void audio.resume();
  lead = leader(length);
  byId('overview').hidden = true;
  leading.hidden = false;
  announced = '';
  run(true);
  goTo(0);
  view.side.focus();
  const [first] = lead.bellsBetween(-1, 0);
  if (first) ringBell(audio, audio.destination, first.kind, audio.currentTime, USUAL_BELL);
});

function stop(): void {
  run(false);
  leading.hidden = true;
  byId('overview').hidden = false;
  begin.focus();
}
function finish(): void {
  run(false);
  view.where.textContent = '';
  view.side.textContent = 'Done';
  view.time.textContent = '';
  view.says.textContent = 'Take your time before you get up.';
  view.next.textContent = '';
  view.figure.replaceChildren();
  delete view.figure.dataset.key;
  view.live.textContent = 'Done. Take your time before you get up.';
  pause.hidden = true;
  skip.hidden = true;
}
back.addEventListener('click', () => {
  pause.hidden = false;
  skip.hidden = false;
});

document.addEventListener('keydown', (event) => {
  if (leading.hidden || event.ctrlKey || event.metaKey || event.altKey) return;
  if (event.key === 'ArrowRight') skip.click();
  else if (event.key === 'ArrowLeft') back.click();
  else if (event.key === 'Escape') stop();
  else if (event.key === ' ' && !(event.target instanceof HTMLButtonElement)) {
    event.preventDefault();
    pause.click();
  }
});
document.addEventListener('visibilitychange', () => {
  if (!document.hidden && running) void stayAwake(true);
});

offerTimes();
byId('begin').append(begin);
byId('begin').hidden = false;
leading.append(
  view.edge,
  make('div', { className: 'top' }, view.where, leave),
  view.side,
  view.time,
  view.figure,
  view.says,
  view.next,
  view.live,
  make('div', { className: 'controls' }, back, pause, skip),
);
