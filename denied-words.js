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

/** Phrases that are not used in comments, each with what to write instead. */
export const DENIED_PHRASES = [
  [
    /\b(?:entr(?:y|ies)|holds?|kinds?|props?|positions?|techniques?) of (?:one|someone|your)(?:['’]s)? own\b/i,
    '“custom”',
  ],
  [/\b(?:put|putting) right\b/i, '“corrected” or “correcting”'],
  [/\bhouse rules?\b/i, '“settings” or “timeline rules”'],
  [/\bways? out of a (?:step|cell|caution)\b/i, '“solution” or “alternative”'],
  [/\bheld against\b/i, '“compared with”'],
  [/\btold apart\b/i, '“distinguished”'],
  [/\bastray\b/i, '“deviation” or “difference”'],
  [/\bon the average\b/i, '“on average”'],
  [/\bentr(?:y|ies) of the (?:library|journal)\b/i, '“library entry” or “journal entry”'],
  [/\bwhat is done instead\b/i, '“alternative”'],
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
