import { countedFrom, IN_WORDS, newPerson, personCondition, type Person } from '#core/people';

/** The day that the twelve are looked at. */
export const TWELVE_DAY = '2026-11-26';

type Has = readonly [condition: string, more?: { degree?: string; since?: string; words?: string }];

const person = (name: string, ...has: readonly Has[]): Person => ({
  ...newPerson(name),
  conditions: has.map(([condition, more = {}], i) => ({ ...personCondition(`c${i}`, condition), ...more })),
});

/** Twelve made-up people, one for each combination that is hard to teach, and one with nothing. */
export const TWELVE: readonly { id: string; person: Person }[] = [
  person(
    'Late pregnancy with back pain',
    ['pregnancy', { since: countedFrom(33, TWELVE_DAY) }],
    ['low-back', { degree: 'often' }],
  ),
  person('Glaucoma with a replaced knee', ['glaucoma'], ['knee-replaced', { since: '2025-03-01' }]),
  person('Treated pressure with low mood', ['high-pressure', { degree: 'controlled' }], ['low-mood']),
  person('Very flexible', ['hypermobile']),
  person(
    'Seventy-eight: thin bones, hiatal hernia, dizziness',
    ['osteoporosis', { degree: 'thin' }],
    ['hernia-hiatal'],
    ['vertigo'],
  ),
  person('Three weeks after an operation on the belly', ['operation-belly', { since: '2026-11-05' }]),
  person('Panic with trauma', ['panic'], ['trauma']),
  person('Sciatica', ['sciatica']),
  person('Reflux', ['reflux']),
  person('Insulin, with loss of feeling', ['diabetes-feeling'], ['insulin']),
  person('A weak pelvic floor', ['pelvic-floor']),
  person('Nothing'),
].map((one, i) => ({ id: `twelve-${i + 1}`, person: one }));

export { IN_WORDS };
