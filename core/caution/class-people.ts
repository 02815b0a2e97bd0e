import { z } from 'zod';
import { Id, readDocument, words, type DocumentKind, type Migration, type Read } from '#core/document';
import { Step, stepFromVersion6 } from '#core/plan';

const CLASS_PEOPLE_FORMAT = 'zovrin-class-people';
const CLASS_PEOPLE_VERSION = 2;
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

/**
 * Decisions for individual people in one plan: stored beside the plan with the people’s data, and never part of the
 * plan’s file. `SESSION_STEP` stands for the class as a whole.
 */
export const ClassPeople = z.strictObject({
  format: z.literal(CLASS_PEOPLE_FORMAT, 'This is not what was decided for the people of a class.'),
  version: z.literal(CLASS_PEOPLE_VERSION),
  seen: z.array(Seen).max(MOST, `At most ${MOST} are kept.`),
  instead: z.array(InsteadOf).max(MOST, `At most ${MOST} are kept.`),
});
export type ClassPeople = z.infer<typeof ClassPeople>;

/** The step of cautions that belong to no single step. */
export const SESSION_STEP = 'the-class';

export const NOTHING_DECIDED: ClassPeople = {
  format: CLASS_PEOPLE_FORMAT,
  version: CLASS_PEOPLE_VERSION,
  seen: [],
  instead: [],
};

/** Version 2: a breath in the place of a step says in which position it is practised. */
const fromVersion1: Migration = (decisions) => ({
  ...decisions,
  instead: Array.isArray(decisions.instead)
    ? decisions.instead.map((one: unknown) =>
        typeof one === 'object' && one !== null && 'step' in one ? { ...one, step: stepFromVersion6(one.step) } : one,
      )
    : decisions.instead,
});

const DOCUMENT: DocumentKind<ClassPeople> = {
  format: CLASS_PEOPLE_FORMAT,
  called: 'a class',
  version: CLASS_PEOPLE_VERSION,
  migrations: { 1: fromVersion1 },
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

/** A key for the person and step of a decision; undefined for anything else. */
export const decidedAt = ({ personId, stepId }: Readonly<Record<string, unknown>>): string | undefined =>
  typeof personId === 'string' && typeof stepId === 'string' ? `${personId} ${stepId}` : undefined;

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
/** Removes everything about one person. */
export const withoutPerson = (decisions: ClassPeople, personId: string): ClassPeople => ({
  ...decisions,
  seen: decisions.seen.filter((one) => one.personId !== personId),
  instead: decisions.instead.filter((one) => one.personId !== personId),
});
/** A person's alternatives, by step id. */
export const insteadOf = ({ instead }: ClassPeople, personId: string): Map<string, Step> =>
  new Map(instead.filter((one) => one.personId === personId).map(({ stepId, step }) => [stepId, step]));
