/** Limits of a practice: counts of one phase, rounds of one set, lengths in seconds, strokes a minute. */
export const BREATH_LIMITS = {
  maxBreathParts: 6,
  maxPauseCounts: 8,
  maxCounts: 60,
  maxRounds: 200,
  maxCycleSeconds: 180,
  maxPracticeSeconds: 3600,
  minCountSeconds: 0.5,
  maxCountSeconds: 3,
  maxStrokes: 300,
  minStrokesPerMinute: 10,
  maxStrokesPerMinute: 180,
  maxHoldSeconds: 180,
  maxPulses: 100,
  maxRecoverSeconds: 600,
} as const;
