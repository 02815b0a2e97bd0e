import { breathCost, countsInWords } from '#core/breath';
import { rateInWords } from '../../../widgets/breath/rate';
import { WHERE_WORDS, type Library } from '#core/catalogue';
import { sideSeconds, type Step } from '#core/plan';
import { setUpInWords } from '#core/props';
import { clockOfSeconds, inBreaths } from '#core/time';

export const TAKES_REMAINING = 'takes what is left';

/** The second line of a step in a list: where it takes place, if it says; its set-up, its stages or its counts. */
export const stepInWords = (step: Step, library: Library): string =>
  [step.where ? WHERE_WORDS[step.where] : '', detailsInWords(step, library)].filter(Boolean).join(' · ');

function detailsInWords(step: Step, library: Library): string {
  switch (step.kind) {
    case 'hold': {
      const stages = step.stages.map(({ name, length }) =>
        length.kind === 'fixed' ? `${name} ${clockOfSeconds(length.seconds)}` : name,
      );
      const { left, right } = sideSeconds(step.sides);
      const breaths = step.breathSeconds === null ? undefined : inBreaths(Math.max(left, right), step.breathSeconds);
      const known = library.position(step.position) ? [] : ['not in your library'];
      return [
        ...known,
        setUpInWords(step.setUp),
        ...(stages.length > 0 ? [stages.join(', then ')] : []),
        breaths ?? '',
        step.breath ? `${step.breath.name} inside` : '',
        step.takesRemaining ? TAKES_REMAINING : '',
      ]
        .filter(Boolean)
        .join(' · ');
    }
    case 'breath': {
      const { cycles, meanRate, strokes } = breathCost(step.practice);
      const details = [
        ...(meanRate === null ? [] : [`${cycles} breaths, ${rateInWords(meanRate)}/min`]),
        ...(strokes > 0 ? [`${strokes} pumps`] : []),
      ];
      return [countsInWords(step.practice), details.join(', ')].filter(Boolean).join(' · ');
    }
    default:
      return step.note;
  }
}
