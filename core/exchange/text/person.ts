import { easyBreath, type BreathMeasure } from '#core/breath';
import type { PersonCondition, PersonFile } from '#core/people';
import { clockOfSeconds } from '#core/time';
import { paragraphs } from './paragraphs';

/** A condition as somebody else reads it: its name, since when, and what was noted. */
const conditionLine = ({ condition, words, since, note }: PersonCondition, nameOf: (id: string) => string): string =>
  [words || nameOf(condition), since === null ? '' : `since ${since}`, note].filter(Boolean).join('; ');

function breathLine(measure: BreathMeasure): string {
  const easy = easyBreath(measure);
  return `${measure.measuredAt.slice(0, 10)}: in ${easy.in} s, out ${easy.out} s`;
}

/**
 * Everything that is kept of one person as plain text, for them to read.
 * @param nameOf the name of a condition by its id
 */
export function personText({ person, groups, cameTo, savedAt }: PersonFile, nameOf: (id: string) => string): string {
  const { birthDate, contact, emergency, note, notes, conditions, keepInMind, statureCm, breaths } = person;
  const { askedOn, consentOn } = person;
  return paragraphs(person.name, [
    { lines: [`What is kept, as of ${savedAt.slice(0, 10)}.`] },
    {
      heading: 'About you',
      lines: [
        birthDate === null ? '' : `born ${birthDate}`,
        contact && `contact: ${contact}`,
        emergency && `in an emergency: ${emergency}`,
        statureCm === null ? '' : `${statureCm} cm tall`,
        note,
        askedOn === null ? '' : `asked about your health on ${askedOn}`,
        consentOn === null ? '' : `you agreed on ${consentOn} that this is kept`,
      ],
    },
    { heading: 'Conditions', lines: conditions.map((one) => conditionLine(one, nameOf)) },
    { heading: 'To keep in mind', lines: keepInMind.map(({ words }) => words) },
    { heading: 'Notes', lines: notes.map(({ on, words }) => `${on}: ${words}`) },
    { heading: 'Breaths that were easy', lines: breaths.map(breathLine) },
    { heading: 'Groups', lines: groups },
    {
      heading: 'Classes',
      lines: cameTo.map(
        ({ at, title, seconds }) => `${at.slice(0, 10)}: ${title}, ${clockOfSeconds(Math.round(seconds))}`,
      ),
    },
  ]);
}
