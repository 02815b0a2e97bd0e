import { APPROACH_LABELS, APPROACHES, type Position, type Technique } from '#core/catalogue';
import { setUpRowInWords } from '#core/props';
import { positionScript, readAloud } from '#core/script';
import { clockOfSeconds } from '#core/time';
import { paragraphs } from './paragraphs';

/** A position as plain text: names, lengths, set-ups, what is said on the left side, what comes after, and cautions. */
export function positionText(position: Position): string {
  const { names, aims, leftMeans, defaults, setUps, loosen, answer, mistakes = '', caution, watch = '' } = position;
  const script = positionScript(position, 'left');
  const linesOf = (part: string): string[] => script.filter((line) => line.part === part).map(({ text }) => text);
  const lengths = APPROACHES.flatMap((approach) => {
    const usual = defaults[approach];
    if (!usual) return [];
    const [length, least, most] = [usual.seconds, usual.minSeconds, usual.maxSeconds].map(clockOfSeconds);
    return [`${APPROACH_LABELS[approach]}: ${length}, from ${least} to ${most}`];
  });
  return paragraphs(names.english, [
    { lines: [[names.sanskrit, names.yin].filter(Boolean).join(' · '), leftMeans && `Left: ${leftMeans}`, aims] },
    { heading: 'Usual lengths', lines: lengths },
    ...setUps.map(({ name, items }) => ({
      heading: `Set-up: ${name}`,
      lines: items.length === 0 ? ['no props'] : items.map(setUpRowInWords),
    })),
    { heading: 'Getting in', lines: linesOf('in') },
    { heading: 'What to say', lines: linesOf('hold') },
    { heading: 'Coming out', lines: linesOf('out') },
    { heading: 'Afterwards', lines: [loosen, answer] },
    { heading: 'Common mistakes', lines: [mistakes] },
    { heading: 'What you see from outside', lines: [watch] },
    { heading: 'Take care', lines: [caution] },
  ]);
}

/** A breath technique as plain text: names, one round, how it is taught, what is read aloud, and cautions. */
export function techniqueText(technique: Technique): string {
  const { names, round, range, gates, seat, taught, mistakes, watch = '', caution } = technique;
  const length = `${clockOfSeconds(range.minSeconds)} to ${clockOfSeconds(range.maxSeconds)}`;
  return paragraphs(names.english, [
    { lines: [names.sanskrit, `One round: ${round}`, `Usual length: ${length}`, seat && `Seat: ${seat}`] },
    { heading: 'What comes first', lines: [gates] },
    { heading: 'Step by step', lines: taught },
    { heading: 'To read aloud', lines: readAloud(technique).map(({ text }) => text) },
    { heading: 'Common mistakes', lines: [mistakes] },
    { heading: 'What you see from outside', lines: [watch] },
    { heading: 'Take care', lines: [caution] },
  ]);
}
