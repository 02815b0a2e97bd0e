import { z } from 'zod';
import {
  BreathLoadRules,
  GROWTH,
  GrowthRules,
  LADDER,
  LOAD_RULES,
  LOUDNESS,
  OFFER_RULES,
  OfferRules,
  Rung,
} from '#core/breath';
import { Approach } from '#core/catalogue';
import { Id, readDocument, seconds, tagsOf, type DocumentKind, type Migration, type Read } from '#core/document';
import { ORDER_RULES, OrderRules } from '#core/order';
import { PLAN_LIMITS, PlanRules, USUAL_PLAN_RULES } from '#core/plan';

const SETTINGS_FORMAT = 'zovrin-house';
const SETTINGS_VERSION = 6;
const MAX_RUNGS = 40;
const MAX_TAGGED = 1000;

const AFTER_SIDE = ['library', 'none', 'rest', 'release'] as const;
const MOVEMENTS = ['still', 'small'] as const;

const COUNTING = ['seconds', 'breath', 'metronome'] as const;
const BODY_MAPS = ['areas', 'lines', 'both'] as const;
/** How it is shown what a position works on: parts of the body, energy lines, or both. */
export type BodyMap = (typeof BODY_MAPS)[number];

const SECOND_SIDE = ['always', 'ask', 'never'] as const;
export type SecondSide = (typeof SECOND_SIDE)[number];

/** The settings: ratios on offer, growth limits, when to flag a practice, what a new plan begins with. */
export const Settings = z.strictObject({
  format: z.literal(SETTINGS_FORMAT, 'These are not settings.'),
  version: z.literal(SETTINGS_VERSION),
  breath: z.strictObject({
    /** Ratios from gentle to strong. */
    ladder: z
      .array(Rung)
      .min(1, 'A ladder has at least one ratio.')
      .max(MAX_RUNGS, `A ladder has at most ${MAX_RUNGS} ratios.`),
    growth: GrowthRules,
    load: BreathLoadRules,
    /** How near to an easy breath the counts are that a person is offered. */
    offer: OfferRules,
  }),
  teach: z.strictObject({
    /** Whether a second side is matched to what the first really had: automatically, on request, or not at all. */
    secondSide: z.enum(SECOND_SIDE),
  }),
  /** The rules for ordering steps. */
  order: OrderRules,
  /** What a new plan begins with. */
  usual: z.strictObject({
    approach: Approach,
    classSeconds: seconds('A class', PLAN_LIMITS.minClass, PLAN_LIMITS.maxClass),
    firstSide: PlanRules.shape.firstSide,
    /** The id of a saved place, or none. */
    place: Id.nullable(),
    /** The side to roll to, and the times of changes; the first side stands beside them. */
    rules: PlanRules.omit({ firstSide: true }),
  }),
  /** How this house teaches, as far as a new step or a check goes by it. */
  school: z.strictObject({
    /** What follows each side of a new hold: as the library has it, nothing, a still rest, or a release. */
    afterSide: z.enum(AFTER_SIDE),
    /** Whether holds are quite still, or small movements are welcome: a new hold says so. null says nothing. */
    movement: z.enum(MOVEMENTS).nullable(),
    /** Holds aim no higher than this intensity, from 0 to 10; 10 is no limit. */
    maxIntensity: z
      .number('Intensity is a number.')
      .min(1, 'The highest intensity is at least 1.')
      .max(10, 'Intensity goes from 0 to 10.'),
    /** How loud a sound of the throat is in a new breath. */
    throat: z.enum(LOUDNESS),
    /** By seconds, by each person's own breath, or by a metronome that is heard at every count. */
    counting: z.enum(COUNTING),
    /** Seconds of one breath, where a new hold is measured in breaths. */
    breathSeconds: seconds('One breath', 1, 60),
    bodyMap: z.enum(BODY_MAPS),
  }),
  /** The teacher's own tags on positions, by their ids; a position need not be in this library. */
  entryTags: z
    .record(Id, tagsOf('position'))
    .refine((tags) => Object.keys(tags).length <= MAX_TAGGED, `At most ${MAX_TAGGED} positions have tags.`),
});
export type Settings = z.infer<typeof Settings>;

/** The default settings. */
export const DEFAULT_SETTINGS: Settings = {
  format: SETTINGS_FORMAT,
  version: SETTINGS_VERSION,
  breath: { ladder: [...LADDER], growth: GROWTH, load: LOAD_RULES, offer: OFFER_RULES },
  teach: { secondSide: 'always' },
  order: ORDER_RULES,
  usual: {
    approach: 'restorative',
    classSeconds: 3600,
    firstSide: 'left',
    place: null,
    rules: {
      rollTo: USUAL_PLAN_RULES.rollTo,
      setupBaseSeconds: USUAL_PLAN_RULES.setupBaseSeconds,
      setupPerMoveSeconds: USUAL_PLAN_RULES.setupPerMoveSeconds,
      changesPercent: USUAL_PLAN_RULES.changesPercent,
    },
  },
  school: {
    afterSide: 'library',
    movement: null,
    maxIntensity: 10,
    throat: 'soft',
    counting: 'seconds',
    breathSeconds: 6,
    bodyMap: 'areas',
  },
  entryTags: {},
};

/** Version 2: how a session is led has rules too. */
const fromVersion1: Migration = (house) => ({ teach: DEFAULT_SETTINGS.teach, ...house });

/** Version 3: there are rules for the order of steps. */
const fromVersion2: Migration = (house) => ({ order: ORDER_RULES, ...house });

/** Version 4: a new plan begins with what is usual. */
const fromVersion3: Migration = (house) => ({ usual: DEFAULT_SETTINGS.usual, ...house });

/** Version 5: there are rules for sides and changes, and for how the house teaches. */
const fromVersion4: Migration = (house) => ({
  ...house,
  breath:
    typeof house.breath === 'object' && house.breath !== null ? { offer: OFFER_RULES, ...house.breath } : house.breath,
  school: house.school ?? DEFAULT_SETTINGS.school,
  order:
    typeof house.order === 'object' && house.order !== null
      ? { neutral: ORDER_RULES.neutral, rousing: ORDER_RULES.rousing, ...house.order }
      : house.order,
  usual:
    typeof house.usual === 'object' && house.usual !== null
      ? { rules: DEFAULT_SETTINGS.usual.rules, ...house.usual }
      : house.usual,
});

/** Version 6: how counts are kept, energy lines, and tags on positions. */
const fromVersion5: Migration = (house) => ({
  ...house,
  entryTags: house.entryTags ?? {},
  school:
    typeof house.school === 'object' && house.school !== null
      ? {
          counting: DEFAULT_SETTINGS.school.counting,
          breathSeconds: DEFAULT_SETTINGS.school.breathSeconds,
          bodyMap: DEFAULT_SETTINGS.school.bodyMap,
          ...house.school,
        }
      : house.school,
});

const SETTINGS_DOCUMENT: DocumentKind<Settings> = {
  format: SETTINGS_FORMAT,
  called: 'settings',
  version: SETTINGS_VERSION,
  migrations: { 1: fromVersion1, 2: fromVersion2, 3: fromVersion3, 4: fromVersion4, 5: fromVersion5 },
  schema: Settings,
};

/** Reads settings from any value. Returns them, or every invalid field with the reason. Never throws. */
export const readSettings = (value: unknown): Read<Settings> => readDocument(SETTINGS_DOCUMENT, value);

/** The rules a new plan takes along from the settings; null where they are the usual ones. */
export function planRulesOf({ usual }: Settings): PlanRules | null {
  const rules: PlanRules = { firstSide: usual.firstSide, ...usual.rules };
  const isUsual = (Object.keys(rules) as (keyof PlanRules)[]).every((key) => rules[key] === USUAL_PLAN_RULES[key]);
  return isUsual ? null : rules;
}
