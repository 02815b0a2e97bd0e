/** What a plan may hold. Seconds unless the name says otherwise. The messages of the schema name these. */
export const PLAN_LIMITS = {
  maxSteps: 200,
  maxTitle: 200,
  maxNote: 4000,
  minHold: 1,
  maxHold: 3600,
  maxPlain: 3600,
  maxChange: 600,
  maxSetup: 1800,
  minClass: 60,
  maxClass: 21_600,
  maxGroup: 400,
  maxStages: 8,
  maxPrompts: 48,
  maxLines: 12,
  maxBreaths: 600,
  maxOrderPairs: 60,
} as const;
