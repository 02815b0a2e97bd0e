/** What a course may hold. The messages of the schema name these. */
export const COURSE_LIMITS = {
  maxWeeks: 52,
  maxTitle: 120,
  maxNote: 4000,
  maxTheme: 200,
  maxThreads: 12,
  maxDifferences: 400,
  maxPieces: 12,
  maxNeeds: 12,
} as const;
