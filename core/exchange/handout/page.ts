import { NOT_ADVICE, STOP_SIGNS } from '#core/caution';
import { clockOfMs } from '#core/time';
import type { Handout, HandoutStep } from './types';

/** A figure of a step: the inside of an `svg` element, and the box it needs. */
export interface HandoutFigure {
  svg: string;
  box: readonly [x: number, y: number, width: number, height: number];
}

/** What a handout is put together from besides its words. */
export interface HandoutParts {
  /** The figure of each step; undefined for a step without one. */
  figures: readonly (HandoutFigure | undefined)[];
  /** The program that leads through it, and how it looks. */
  script: string;
  style: string;
}

const ENTITIES: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
const escaped = (text: string): string => text.replace(/[&<>"]/g, (mark) => ENTITIES[mark] ?? mark);
/** JSON that can stand in a page: nothing in it ends the element it is in. */
const jsonInPage = (value: unknown): string => JSON.stringify(value).replace(/</g, '\\u003C');

/** No figure is drawn larger than one this wide, so that a curled-up body is no giant. */
const MIN_WIDTH = 1300;
function figureOf({ svg, box: [x, y, width, height] }: HandoutFigure, label: string): string {
  const wide = Math.max(width, MIN_WIDTH);
  const high = Math.max(height, MIN_WIDTH * 0.45);
  const view = [x + width / 2 - wide / 2, y + height - high, wide, high].map(Math.round).join(' ');
  return `<svg class="figure" viewBox="${view}" preserveAspectRatio="xMidYMax meet" role="img" aria-label="${escaped(label)}">${svg}</svg>`;
}

const paragraph = (text: string, className = ''): string =>
  text === '' ? '' : `<p${className ? ` class="${className}"` : ''}>${escaped(text)}</p>`;
/** Words with a full stop, so that the next sentence can follow. */
const sentence = (words: string): string => (/[.!?…]$/u.test(words.trim()) ? words.trim() : `${words.trim()}.`);
const named = (name: string, lines: readonly string[]): string =>
  lines.length === 0 ? '' : `<p><b>${name}</b> ${escaped(lines.map(sentence).join(' '))}</p>`;

function sidesInWords({ sides }: HandoutStep): string {
  if (!sides) return '';
  return [sides.left === '' ? '' : `Left: ${sides.left}.`, sides.right === '' ? '' : `Right: ${sides.right}.`]
    .filter(Boolean)
    .join(' ');
}

function stepItem(step: HandoutStep, length: string, figure: HandoutFigure | undefined, index: number): string {
  return `<li>${figure ? figureOf(figure, `${step.name}, as it is set up`) : '<span class="figure"></span>'}
<div><h2>${escaped(step.name)}</h2><p class="length" data-length="${index}">${escaped(length)}</p>
${paragraph([step.counts, step.props].filter(Boolean).join(' · '), 'props')}
<div class="how">${named('Getting in.', step.gettingIn)}${paragraph(sidesInWords(step))}${named('Keep in mind.', step.keepInMind)}${named('Coming out.', step.comingOut)}</div></div></li>`;
}

/** Nothing of the page comes from anywhere, and nothing goes anywhere. */
const POLICY =
  "default-src 'none'; script-src 'unsafe-inline'; style-src 'unsafe-inline'; form-action 'none'; base-uri 'none'";

/**
 * A handout as one HTML file: it needs nothing else, asks nothing of any server, and can be read and printed where no
 * script runs.
 */
export function handoutPage(handout: Handout, { figures, script, style }: HandoutParts): string {
  const full = handout.lengths.at(-1);
  const items = handout.steps.map((step, i) => stepItem(step, full?.steps[i] ?? '', figures[i], i)).join('\n');
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="Content-Security-Policy" content="${POLICY}">
<meta name="color-scheme" content="light dark">
<meta name="referrer" content="no-referrer">
<title>${escaped(handout.title)}</title>
<style>${style.replace(/<\//g, '<\\/')}</style>
</head>
<body>
<main id="overview">
<header><h1>${escaped(handout.title)}</h1>
<p class="words">${escaped(handout.words).replace(/\n/g, '<br>')}</p>
${paragraph(handout.props === '' ? '' : `You need: ${handout.props}.`, 'needs')}
<p class="total">${escaped(full ? clockOfMs(full.totalMs) : '')} in total</p></header>
<div id="time" hidden></div>
<ol class="steps">
${items}
</ol>
<p class="stop">${escaped(STOP_SIGNS)} ${escaped(NOT_ADVICE)}</p>
<div id="begin" hidden></div>
</main>
<main id="leading" hidden></main>
<script type="application/json" id="handout">${jsonInPage(handout)}</script>
<script>${script.replace(/<\/script/gi, '<\\/script')}</script>
</body>
</html>
`;
}
