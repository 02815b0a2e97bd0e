import { holdBreathFrom, readStages, type HoldStep, type Moment, type Prompt, type Step } from '#core/plan';
import type { Seconds } from '#core/numbers';
import { takeLengths } from './lengths';
import { OpenLine } from './line';
import { wholeName } from './names';
import { usualRow } from './props';
import type { Reading } from './reading';

/** What a line under a step adds to it: the step as it is then, or undefined if the line says no such thing. */
type Detail = (step: Step, words: string, reading: Reading) => Step | undefined;

const lengthIn = (words: string): Seconds | undefined => {
  const [length] = takeLengths(new OpenLine(words));
  return length?.kind === 'length' ? length.seconds : undefined;
};

const ON_WORDS = String.raw`(?:,?\s*(?:on the\s+)?(first|second)(?:\s+side)?)?`;
const AFTER_WORDS = String.raw`\s*(?::|,|–|—|-)\s*`;
const PROMPT_FORMS: readonly { pattern: RegExp; at: (match: readonly string[]) => Moment | undefined }[] = [
  {
    pattern: new RegExp(
      String.raw`^(?:at\s+)?(?:half[- ]?way(?:\s+through)?|half(?:[- ]?time)?|midway)${ON_WORDS}${AFTER_WORDS}(?<text>.+)$`,
      'iu',
    ),
    at: () => ({ kind: 'half' }),
  },
  {
    pattern: new RegExp(String.raw`^after (\d{1,3}) breaths?${ON_WORDS}${AFTER_WORDS}(?<text>.+)$`, 'iu'),
    at: ([, breaths]) => ({ kind: 'afterBreaths', breaths: Number(breaths) }),
  },
  {
    pattern: new RegExp(
      String.raw`^(?<length>[\d:.,]+\s*(?:min(?:utes?)?|s(?:ec(?:onds?)?)?|m|['′]|["″])?)\s+(?:before|from) (?:the )?end${ON_WORDS}${AFTER_WORDS}(?<text>.+)$`,
      'iu',
    ),
    at: ([, length = '']) => momentAt(length, 'beforeEnd'),
  },
  {
    pattern: new RegExp(
      String.raw`^(?:at|after)\s+(?<length>[\d:.,]+\s*(?:min(?:utes?)?|s(?:ec(?:onds?)?)?|m|['′]|["″])?)${ON_WORDS}${AFTER_WORDS}(?<text>.+)$`,
      'iu',
    ),
    at: ([, length = '']) => momentAt(length, 'after'),
  },
];

function momentAt(length: string, kind: 'after' | 'beforeEnd'): Moment | undefined {
  const seconds = /^\d+$/.test(length.trim()) ? Number(length) * 60 : lengthIn(length);
  return seconds === undefined ? undefined : { kind, seconds };
}

/** A prompt as it stands in a line of its own: `halfway: turn the head`. */
export function promptIn(words: string, newId: () => string): Prompt | undefined {
  for (const { pattern, at } of PROMPT_FORMS) {
    const match = pattern.exec(words);
    const text = match?.groups?.text?.trim() ?? '';
    const moment = match && at(match);
    if (!match || !moment || text === '' || text.length > 200) continue;
    const on = match.slice(1).find((piece) => /^(?:first|second)$/i.test(piece));
    return { id: newId(), at: moment, text, on: on ? (on.toLowerCase() as 'first' | 'second') : 'every' };
  }
  return undefined;
}

/** The prompts of an outline stand in the place of the usual ones, so the first one replaces them. */
const OWN_PROMPTS = new WeakSet<readonly Prompt[]>();
const withPrompt = (step: HoldStep, prompt: Prompt): HoldStep => {
  const prompts = OWN_PROMPTS.has(step.prompts) ? [...step.prompts, prompt] : [prompt];
  OWN_PROMPTS.add(prompts);
  return { ...step, prompts };
};

const hold =
  (read: (step: HoldStep, words: string, reading: Reading) => Step | undefined): Detail =>
  (step, words, reading) =>
    step.kind === 'hold' ? read(step, words, reading) : undefined;

/** A detail that has one form; what stands in its brackets is what it says. */
const form = (
  pattern: RegExp,
  read: (step: HoldStep, match: readonly string[], reading: Reading) => Step | undefined,
): Detail =>
  hold((step, words, reading) => {
    const match = pattern.exec(words);
    return match ? read(step, match, reading) : undefined;
  });

const EVERY: Readonly<Record<string, 'afterEach' | 'afterBoth'>> = { each: 'afterEach', both: 'afterBoth' };
const whenOf = (words: string, step: HoldStep): 'afterEach' | 'afterBoth' =>
  EVERY[/\b(each|both)\b/iu.exec(words)?.[1]?.toLowerCase() ?? ''] ??
  (/\bbetween\b/iu.test(words) && step.sides.kind !== 'together' ? 'afterEach' : 'afterBoth');

const times = (words: string, field: 'setupSeconds' | 'enterSeconds' | 'leaveSeconds' | 'switchSeconds'): Detail =>
  form(new RegExp(String.raw`^${words}\s+([\d:.]+.*)$`, 'iu'), (step, [, length = '']) => {
    const seconds = lengthIn(length);
    return seconds === undefined ? undefined : { ...step, [field]: seconds };
  });

const rangeIn = (words: string): HoldStep['range'] => {
  const [length] = takeLengths(new OpenLine(words));
  return length?.range ?? null;
};

const DETAILS: readonly Detail[] = [
  (step, words) => {
    const match = /^notes?:\s*(.*)$/isu.exec(words);
    if (!match) return undefined;
    return { ...step, note: step.note === '' ? (match[1] ?? '') : `${step.note}\n${match[1] ?? ''}` };
  },
  hold((step, words, { newId }) => {
    const prompt = promptIn(words, newId);
    return prompt && withPrompt(step, prompt);
  }),
  form(/^no prompts$/iu, (step) => ({ ...step, prompts: [] })),
  form(/^no stages$/iu, (step) => ({ ...step, stages: [] })),
  form(/^stages?:\s*(.+)$/iu, (step, [, typed = ''], { newId }) => {
    const rest = typed.replace(/\s+(?:for\s+)?(?:the\s+)?(?:rest|remainder) of (?:the )?time/giu, '');
    const read = readStages(rest, { stages: [], breathSeconds: step.breathSeconds }, newId);
    if (!read.ok) return undefined;
    const words = (stages: HoldStep['stages']): string =>
      JSON.stringify(
        stages.map(({ name, length, breathSeconds }) => [name, length.kind === 'share' ? '' : length, breathSeconds]),
      );
    return { ...step, stages: words(read.stages) === words(step.stages) ? step.stages : read.stages };
  }),
  form(/^no (?:rest|rebound)(?: after.*)?$/iu, (step) => ({ ...step, rebound: { kind: 'none' } })),
  form(/^(?:then )?(?:(?:a )?(?:still )?rest|rebound)\b(.*)$/iu, (step, [, words = '']) => {
    const seconds = lengthIn(words);
    return seconds === undefined ? undefined : { ...step, rebound: { kind: whenOf(words, step), seconds } };
  }),
  form(/^release\s+(.+?)(?::\s+(.*))?$/iu, (step, [, words = '', text = '']) => {
    const seconds = lengthIn(words);
    return seconds === undefined ? undefined : { ...step, loosen: { when: whenOf(words, step), seconds, text } };
  }),
  form(/^no range$/iu, (step) => ({ ...step, range: null, rangeIsUsual: false })),
  form(/^(usual )?range:?\s+(.+)$/iu, (step, [, usual, words = '']) => {
    const range = rangeIn(words);
    return range ? { ...step, range, rangeIsUsual: usual !== undefined } : undefined;
  }),
  form(/^intensity:?\s+(?:as the approach|as usual for the approach)$/iu, (step) => ({ ...step, strength: null })),
  form(/^intensity:?\s+(\d{1,2}(?:\.\d+)?)(?: (?:of|\/) ?10)?$/iu, (step, [, amount]) =>
    Number(amount) <= 10 ? { ...step, strength: Number(amount) } : undefined,
  ),
  form(/^(?:measured )?in breaths of ([\d.]+) s$/iu, (step, [, seconds]) => ({
    ...step,
    breathSeconds: Number(seconds),
  })),
  times('set-?up', 'setupSeconds'),
  times('getting in', 'enterSeconds'),
  times('coming out', 'leaveSeconds'),
  times('changing sides', 'switchSeconds'),
  form(/^getting in:\s*(.+)$/iu, (step, [, line = '']) => ({ ...step, waysIn: [...(step.waysIn ?? []), line] })),
  form(/^coming out:\s*(.+)$/iu, (step, [, line = '']) => ({ ...step, waysOut: [...(step.waysOut ?? []), line] })),
  form(/^left means:\s*(.+)$/iu, (step, [, words = '']) => ({ ...step, leftMeans: words })),
  form(/^sides differ on purpose$/iu, (step) => ({ ...step, unevenIntended: true })),
  form(/^breath(?:ing)?(?: inside)?:\s*(.+)$/iu, (step, [, words = ''], { index }) => {
    const found = wholeName(new OpenLine(words), index);
    const technique = found?.entries.find((one) => one.kind === 'breath');
    if (!technique) return undefined;
    return { ...step, breath: holdBreathFrom(technique.entry) };
  }),
  (step, words, { index }) => {
    const match = /^seat:\s*(.+)$/iu.exec(words);
    if (!match || step.kind !== 'breath') return undefined;
    const seat = wholeName(new OpenLine(match[1] ?? ''), index)?.entries.find((one) => one.kind === 'hold');
    if (!seat) return undefined;
    // What a prop is there for is known of the seat.
    const setUp = step.setUp.map((row) => {
      const usual = usualRow(seat.entry, row.kind, row.place, row.id);
      return row.state === usual.state ? { ...row, why: usual.why } : row;
    });
    return { ...step, seat: seat.entry.id, setUp };
  },
  (step, words) => {
    const match = /^quiet breathing\s+(.+?)(?:\s+after)?$/iu.exec(words);
    const seconds = match ? lengthIn(match[1] ?? '') : undefined;
    return step.kind === 'breath' && seconds !== undefined ? { ...step, afterSeconds: seconds } : undefined;
  },
  (step, words) => {
    const match = /^set-?up\s+([\d:.]+.*)$/iu.exec(words);
    const seconds = match ? lengthIn(match[1] ?? '') : undefined;
    return (step.kind === 'breath' || step.kind === 'rest') && seconds !== undefined
      ? { ...step, setupSeconds: seconds }
      : undefined;
  },
];

/** A step with what a line under it says; undefined if it says nothing that a line under a step can. */
export function withDetail(step: Step, words: string, reading: Reading): Step | undefined {
  for (const detail of DETAILS) {
    const changed = detail(step, words, reading);
    if (changed) return changed;
  }
  return undefined;
}

/** A hold with a prompt that was found in its own line. */
export const withPromptInLine = (step: Step, prompt: Prompt): Step =>
  step.kind === 'hold' ? withPrompt(step, prompt) : step;
