import { z } from 'zod';
import { Id, readDocument, words, type DocumentKind, type Migration, type Read } from '#core/document';
import { Day, newPerson, PersonCondition, type Person } from '#core/people';
import { Step, stepFromBefore9 } from '#core/plan';

const CLASS_PEOPLE_FORMAT = 'zovrin-class-people';
const CLASS_PEOPLE_VERSION = 4;
const MOST = 4000;

const Decided = {
  personId: Id,
  stepId: Id,
  /** The name of whoever decided. */
  by: words('Who says so', 60),
  /** A moment in UTC. */
  at: z.iso.datetime('A moment like 2026-11-26T18:30:00Z.'),
};

/** Cautions of a person at a step that the teacher has acknowledged without a change, by rule. */
export const Seen = z.strictObject({ ...Decided, rules: z.array(z.string().max(200)).max(200) });
export type Seen = z.infer<typeof Seen>;

/** A person's alternative to a step. */
export const InsteadOf = z.strictObject({ ...Decided, step: Step });
export type InsteadOf = z.infer<typeof InsteadOf>;

const MAX_CONDITIONS = 20;
const mentioned = z.array(PersonCondition).max(MAX_CONDITIONS, `At most ${MAX_CONDITIONS} are kept.`);

/** What somebody of the group said was new, before a class on a day. It counts on that day alone. */
export const CheckIn = z.strictObject({ personId: Id, on: Day, conditions: mentioned });
export type CheckIn = z.infer<typeof CheckIn>;

/** Somebody who came to a class on a day without a record: a first name, and what they said. */
export const Guest = z.strictObject({ id: Id, on: Day, name: words('A first name', 40), conditions: mentioned });
export type Guest = z.infer<typeof Guest>;

/**
 * Decisions for individual people in one plan: stored beside the plan with the people’s data, and never part of the
 * plan’s file. `SESSION_STEP` stands for the class as a whole.
 */
export const ClassPeople = z.strictObject({
  format: z.literal(CLASS_PEOPLE_FORMAT, 'This is not what was decided for the people of a class.'),
  version: z.literal(CLASS_PEOPLE_VERSION),
  seen: z.array(Seen).max(MOST, `At most ${MOST} are kept.`),
  instead: z.array(InsteadOf).max(MOST, `At most ${MOST} are kept.`),
  checkIns: z.array(CheckIn).max(MOST, `At most ${MOST} are kept.`),
  guests: z.array(Guest).max(MOST, `At most ${MOST} are kept.`),
});
export type ClassPeople = z.infer<typeof ClassPeople>;

/** The step of cautions that belong to no single step. */
export const SESSION_STEP = 'the-class';

export const NOTHING_DECIDED: ClassPeople = {
  format: CLASS_PEOPLE_FORMAT,
  version: CLASS_PEOPLE_VERSION,
  seen: [],
  instead: [],
  checkIns: [],
  guests: [],
};

const withStepsOfToday: Migration = (decisions) => ({
  ...decisions,
  instead: Array.isArray(decisions.instead)
    ? decisions.instead.map((one: unknown) =>
        typeof one === 'object' && one !== null && 'step' in one ? { ...one, step: stepFromBefore9(one.step) } : one,
      )
    : decisions.instead,
});

/** Version 2: steps as plans have them since version 7; what was said on the day, and guests. */
const fromVersion1: Migration = (decisions) => ({ checkIns: [], guests: [], ...decisions });
/** Version 3: steps as plans have them since version 8. */
const fromVersion2 = withStepsOfToday;
/** Version 4: steps as plans have them since version 9. */
const fromVersion3 = withStepsOfToday;

const DOCUMENT: DocumentKind<ClassPeople> = {
  format: CLASS_PEOPLE_FORMAT,
  called: 'a class',
  version: CLASS_PEOPLE_VERSION,
  migrations: { 1: fromVersion1, 2: fromVersion2, 3: fromVersion3 },
  schema: ClassPeople,
};

/** Reads decisions from any value. Returns them, or every invalid field with the reason. Never throws. */
export const readClassPeople = (value: unknown): Read<ClassPeople> => readDocument(DOCUMENT, value);

interface At {
  personId: string;
  stepId: string;
}
const isAt =
  ({ personId, stepId }: At) =>
  (one: At): boolean =>
    one.personId === personId && one.stepId === stepId;

/** A key for the person and step of a decision, the person and day of what was said, a guest; else undefined. */
export function decidedAt({ personId, stepId, on, id, name }: Readonly<Record<string, unknown>>): string | undefined {
  const at = stepId ?? on;
  if (typeof personId === 'string') return typeof at === 'string' ? `${personId} ${at}` : undefined;
  return typeof id === 'string' && typeof name === 'string' ? id : undefined;
}

/** Adds an acknowledgement; it replaces an earlier one at the same place. */
export const withSeen = (decisions: ClassPeople, seen: Seen): ClassPeople => ({
  ...decisions,
  seen: [...decisions.seen.filter((one) => !isAt(seen)(one)), seen],
});
/** Adds an alternative for a person; it replaces an earlier one at the same place. */
export const withInstead = (decisions: ClassPeople, instead: InsteadOf): ClassPeople => ({
  ...decisions,
  instead: [...decisions.instead.filter((one) => !isAt(instead)(one)), instead],
});
/** Removes the decisions for a person at a step. */
export const withoutDecision = (decisions: ClassPeople, at: At): ClassPeople => ({
  ...decisions,
  seen: decisions.seen.filter((one) => !isAt(at)(one)),
  instead: decisions.instead.filter((one) => !isAt(at)(one)),
});
/** Keeps what somebody of the group said was new on a day; nothing new takes it back. */
export const withCheckIn = (decisions: ClassPeople, checkIn: CheckIn): ClassPeople => ({
  ...decisions,
  checkIns: [
    ...decisions.checkIns.filter(({ personId, on }) => personId !== checkIn.personId || on !== checkIn.on),
    ...(checkIn.conditions.length > 0 ? [checkIn] : []),
  ],
});
/** Adds a guest, or changes one. */
export const withGuest = (decisions: ClassPeople, guest: Guest): ClassPeople =>
  decisions.guests.some(({ id }) => id === guest.id)
    ? { ...decisions, guests: decisions.guests.map((one) => (one.id === guest.id ? guest : one)) }
    : { ...decisions, guests: [...decisions.guests, guest] };

/**
 * Who is screened on a day: the people of a group with what they said that day, and the guests of that day. Where
 * somebody says again what was known as quiet, both count, and so the more careful of them.
 */
export function peopleOn<P extends { id: string; person: Person }>(
  people: readonly P[],
  { checkIns, guests }: ClassPeople,
  day: string,
): { id: string; person: Person }[] {
  return [
    ...people.map(({ id, person }) => {
      const fresh = checkIns
        .filter((one) => one.personId === id && one.on === day)
        .flatMap(({ conditions }) => conditions);
      return { id, person: fresh.length === 0 ? person : { ...person, conditions: [...person.conditions, ...fresh] } };
    }),
    ...guests
      .filter(({ on }) => on === day)
      .map(({ id, name, conditions }) => ({ id, person: { ...newPerson(name), conditions } })),
  ];
}

/** Removes everything about one person, a guest too. */
export const withoutPerson = (decisions: ClassPeople, personId: string): ClassPeople => ({
  ...decisions,
  checkIns: decisions.checkIns.filter((one) => one.personId !== personId),
  guests: decisions.guests.filter(({ id }) => id !== personId),
  seen: decisions.seen.filter((one) => one.personId !== personId),
  instead: decisions.instead.filter((one) => one.personId !== personId),
});
/** A person's alternatives, by step id. */
export const insteadOf = ({ instead }: ClassPeople, personId: string): Map<string, Step> =>
  new Map(instead.filter((one) => one.personId === personId).map(({ stepId, step }) => [stepId, step]));
