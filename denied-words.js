/**
 * Names that are not used in this code, each with what is used instead: one thing, one word. A pattern is held against whole
 * names of variables, functions, types and properties.
 */
export const DENIED = [
  [/^(MOST|LEAST)_/, 'MAX_ and MIN_'],
  [/^(goOnFromThere|itReallyWentBy)$/, 'excludeGap and revertClockCorrection'],
  [/^(Happening|LeadAtFirst)$/, 'NewRunEvent and InitialLeadership'],
  [/^(keptList|keptDocument|draftsOf)$/, 'cachedList, syncedDocument and openDrafts'],
  // The field waysOut of an entry is in stored documents and keeps its name.
  [/^(WayOut|wayOutInWords)$/, 'PropSolution and solutionInWords'],
  [/^(easierWays|Asks)$/, 'modifications and Demands'],
  [/^(asItLies|harmOf|roomMs|brokenIn|leastPossible)$/, 'bakePose, costOf, budgetMs, findViolations and lowerBound'],
  [
    /^(middleOf|CameTo|HouseRules|useHouse|useSaid)$/,
    'median, AttendedClass, TimelineRules, useSettings and useRunReview',
  ],
  [
    /^(told|said|asked|astray|learned|goOn)$/,
    'what it holds: message, reminders, annotations, deviations, pending, shrunkEstimate, transition',
  ],
  [/Said$/, 'InWords'],
  [/^Own(Entry|Kind|Size|Face)$/, 'Custom, as in CustomEntry'],
  [/^(SAID_OF_IT|KEPT_WHEN_LATE|STAYS)$/, 'ANNOTATION_EVENTS, ALLOWED_AFTER_HANDOVER and NOT_UNDOABLE'],
  [
    /^(EntryTold|EntryLook|GiveAndTake|TakeOrLeave|AtWork|FitAsked)$/,
    'what it is: PositionDetails, LengthTradeoffs, ProposalActions, JobProgress, FitOptionsForm',
  ],
  [/(Room|Rooms)$/, 'Page or View; a room is where a class is held'],
];

/** The rule for the linter. */
export const deniedWords = [
  'error',
  ...DENIED.map(([pattern, instead]) => ({
    selector: `Identifier[name=${pattern}]`,
    message: `One thing, one word: ${instead}.`,
  })),
];

/** A cast that goes through unknown, which no type check can hold against anything. */
export const castThroughUnknown = {
  selector: 'TSAsExpression > TSAsExpression.expression > TSUnknownKeyword.typeAnnotation',
  message: 'A cast through unknown is checked by nothing: let the types say it.',
};
