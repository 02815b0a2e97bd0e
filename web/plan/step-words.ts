import { breathCost, type BreathPractice } from '#core/breath';
import type { Library } from '#core/catalogue';
import type { Step } from '#core/plan';
import { setUpInWords } from '#core/props';
import { clockOfSeconds } from '#core/time';

const perMinute = new Intl.NumberFormat('en', { maximumFractionDigits: 2 });

/** Breaths a minute: `6`, `3.75`. */
export const rateInWords = (rate: number): string => perMinute.format(rate);

/** `in 4, full 4, out 8`. Quarters of no counts are left out. */
export function countsInWords({ sets }: BreathPractice): string {
  const [part] = sets[0]?.parts ?? [];
  if (!part) return '';
  if (part.kind === 'ownPace') return 'own pace';
  const quarters = [
    ['in', part.in],
    ['full', part.holdFull],
    ['out', part.out],
    ['empty', part.holdEmpty],
  ] as const;
  const first = quarters.flatMap(([word, counts]) => (counts > 0 ? [`${word} ${counts}`] : [])).join(', ');
  return sets.length > 1 ? `${first} and ${sets.length - 1} more ${sets.length === 2 ? 'set' : 'sets'}` : first;
}

/** The second line of a step in a list: its set-up, its stages or its counts. */
export function stepInWords(step: Step, library: Library): string {
  switch (step.kind) {
    case 'hold': {
      const stages = step.stages.map(({ name, length }) =>
        length.kind === 'fixed' ? `${name} ${clockOfSeconds(length.seconds)}` : name,
      );
      const known = library.position(step.position) ? [] : ['not in your library'];
      return [...known, setUpInWords(step.setUp), ...(stages.length > 0 ? [stages.join(', then ')] : [])]
        .filter(Boolean)
        .join(' · ');
    }
    case 'breath': {
      const { cycles, meanRate } = breathCost(step.practice);
      return `${countsInWords(step.practice)} · ${cycles} breaths, ${rateInWords(meanRate)}/min`;
    }
    default:
      return step.note;
  }
}
