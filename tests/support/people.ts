import fc from 'fast-check';
import { CONDITIONS } from '#library/cautions';
import { daysLater, personCondition, newPerson, type PersonCondition, type Person } from '#core/people';

/** The day that classes of the examples are on. */
export const CLASS_DAY = '2026-11-26';

/** A condition as somebody has it: `knee`, with a degree and since when. */
export const has = (condition: string, patch: Partial<PersonCondition> = {}): PersonCondition => ({
  ...personCondition(condition, condition),
  ...patch,
});

/** Somebody with some conditions. */
export const someone = (name: string, ...conditions: PersonCondition[]): Person => ({ ...newPerson(name), conditions });

/** Any condition that is known, in any degree, since any time of the last three years, or as little known as may be. */
export const anyCondition = fc
  .record({
    known: fc.constantFrom(...CONDITIONS),
    degree: fc.nat(3),
    daysAgo: fc.option(fc.integer({ min: 0, max: 290 })),
  })
  .map(({ known, degree, daysAgo }): PersonCondition => ({
    ...personCondition(`${known.id}-kept`, known.id),
    degree: known.degrees[degree]?.id ?? null,
    since: daysAgo === null || known.since === 'none' ? null : daysLater(CLASS_DAY, -daysAgo),
  }));

/** Somebody with up to four conditions, each once. */
export const anyPerson = fc
  .uniqueArray(anyCondition, { maxLength: 4, selector: ({ condition }) => condition })
  .map((conditions): Person => ({ ...newPerson('Someone'), conditions }));
