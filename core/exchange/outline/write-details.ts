import { sideSeconds, stagesAsTyped, type HoldStep, type Prompt } from '#core/plan';
import { editableClock } from '#core/time';

/** Text that is on one line of an outline, whatever breaks it has. */
export const inLine = (text: string): string => text.replace(/\s*[\r\n]+\s*/g, ' ').trim();

function momentInOutline({ at, on }: Prompt): string {
  const side = on === 'every' ? '' : `, ${on} side`;
  switch (at.kind) {
    case 'half':
      return `halfway${side}`;
    case 'after':
      return `at ${editableClock(at.seconds)}${side}`;
    case 'beforeEnd':
      return `${editableClock(at.seconds)} before the end${side}`;
    case 'afterBreaths':
      return `after ${at.breaths} breaths${side}`;
  }
}

const AFTER = { afterEach: 'after each side', afterBoth: 'after both sides' } as const;
const contentOf = (list: readonly { id: string }[]): string => JSON.stringify(list.map((one) => ({ ...one, id: '' })));

/** The lines under a hold: what of it is not as `usual` has it, and its stages and rests. */
export function holdDetails(step: HoldStep, usual: HoldStep): string[] {
  const { prompts, stages, rebound, loosen, range, strength, breathSeconds } = step;
  const isUsualRange =
    step.rangeIsUsual === usual.rangeIsUsual && JSON.stringify(range) === JSON.stringify(widened(usual, step));
  return [
    ...(stages.length > 0 ? [`stages: ${stagesAsTyped(stages)}`] : usual.stages.length > 0 ? ['no stages'] : []),
    ...(contentOf(prompts) === contentOf(usual.prompts)
      ? []
      : prompts.length === 0
        ? ['no prompts']
        : prompts.map((prompt) => `${momentInOutline(prompt)}: ${inLine(prompt.text)}`)),
    ...(rebound.kind === 'none'
      ? usual.rebound.kind === 'none'
        ? []
        : ['no rest after']
      : [`rest ${editableClock(rebound.seconds)} ${AFTER[rebound.kind]}`]),
    ...(loosen
      ? [
          `release ${editableClock(loosen.seconds)} ${AFTER[loosen.when]}${loosen.text === '' ? '' : `: ${inLine(loosen.text)}`}`,
        ]
      : []),
    ...(isUsualRange
      ? []
      : range
        ? [`${step.rangeIsUsual ? 'usual ' : ''}range ${editableClock(range.min)} to ${editableClock(range.max)}`]
        : ['no range']),
    ...(strength === usual.strength ? [] : [strength === null ? 'intensity as the approach' : `intensity ${strength}`]),
    ...(breathSeconds === usual.breathSeconds || breathSeconds === null ? [] : [`in breaths of ${breathSeconds} s`]),
    ...(step.setupSeconds === null ? [] : [`set-up ${editableClock(step.setupSeconds)}`]),
    ...(step.enterSeconds === null ? [] : [`getting in ${editableClock(step.enterSeconds)}`]),
    ...(step.leaveSeconds === null ? [] : [`coming out ${editableClock(step.leaveSeconds)}`]),
    ...(step.switchSeconds === null ? [] : [`changing sides ${editableClock(step.switchSeconds)}`]),
    ...(step.waysIn ?? []).map((line) => `getting in: ${inLine(line)}`),
    ...(step.waysOut ?? []).map((line) => `coming out: ${inLine(line)}`),
    ...(step.leftMeans === null ? [] : [`left means: ${inLine(step.leftMeans)}`]),
    ...(step.unevenIntended ? ['sides differ on purpose'] : []),
    ...(step.breath ? [`breath inside: ${inLine(step.breath.name)}`] : []),
  ];
}

/** A usual range with room for the length of a step. */
function widened(usual: HoldStep, { sides }: HoldStep): HoldStep['range'] {
  if (!usual.range) return null;
  const { left, right } = sideSeconds(sides);
  const held = 'length' in sides && sides.length.kind === 'perSide' ? [left, right] : [Math.max(left, right)];
  return { min: Math.min(usual.range.min, ...held), max: Math.max(usual.range.max, ...held) };
}
