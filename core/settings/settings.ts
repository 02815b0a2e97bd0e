import { z } from 'zod';
import { BreathLoadRules, GROWTH, GrowthRules, LADDER, LOAD_RULES, Rung } from '#core/breath';
import { Approach } from '#core/catalogue';
import { Id, readDocument, seconds, type DocumentKind, type Migration, type Read } from '#core/document';
import { ORDER_RULES, OrderRules } from '#core/order';
import { PLAN_LIMITS } from '#core/plan';

const SETTINGS_FORMAT = 'zovrin-house';
const SETTINGS_VERSION = 4;
const MAX_RUNGS = 40;

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
    firstSide: z.enum(['left', 'right']),
    /** The id of a saved place, or none. */
    place: Id.nullable(),
  }),
});
export type Settings = z.infer<typeof Settings>;

/** The default settings. */
export const DEFAULT_SETTINGS: Settings = {
  format: SETTINGS_FORMAT,
  version: SETTINGS_VERSION,
  breath: { ladder: [...LADDER], growth: GROWTH, load: LOAD_RULES },
  teach: { secondSide: 'always' },
  order: ORDER_RULES,
  usual: { approach: 'restorative', classSeconds: 3600, firstSide: 'left', place: null },
};

/** Version 2: how a session is led has rules too. */
const fromVersion1: Migration = (house) => ({ teach: DEFAULT_SETTINGS.teach, ...house });

/** Version 3: there are rules for the order of steps. */
const fromVersion2: Migration = (house) => ({ order: ORDER_RULES, ...house });

/** Version 4: a new plan begins with what is usual. */
const fromVersion3: Migration = (house) => ({ usual: DEFAULT_SETTINGS.usual, ...house });

const SETTINGS_DOCUMENT: DocumentKind<Settings> = {
  format: SETTINGS_FORMAT,
  called: 'settings',
  version: SETTINGS_VERSION,
  migrations: { 1: fromVersion1, 2: fromVersion2, 3: fromVersion3 },
  schema: Settings,
};

/** Reads settings from any value. Returns them, or every invalid field with the reason. Never throws. */
export const readSettings = (value: unknown): Read<Settings> => readDocument(SETTINGS_DOCUMENT, value);
