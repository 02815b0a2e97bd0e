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

/** Words that are not shown on any screen, each with what to write instead. */
export const DENIED_ON_SCREEN = [
  [/\bLook back\b|\bOver weeks\b|\bLately taught\b/i, 'History, Trends or Recently taught'],
  [/^Cupboard$|\bHouse rules?\b/i, 'Props & places or Settings'],
  [/\bTake it\b|\bLeave it\b|\bAs built in\b/i, 'Apply, Discard or Reset to defaults'],
  [/\bTake back\b|\bTaken back\b/i, 'Undo or Restore'],
  [
    /\bnot here any more\b|\bno longer here\b|\bmay lie in the bin\b|\bNothing at this address\b/i,
    'could not be found',
  ],
  [/\bif wished\b|\bin all\b(?! (?:positions|people|plans))|\bon the average\b/i, 'optional, total or on average'],
  [/\bMake the first plan\b|\bFrom nothing\b|\bnearly right\b/i, 'Create your first plan, Blank plan or an example'],
  [/\bAgainst the hour\b|\bChosen step\b|^Begins$/i, 'Compared with class length, Selected step or Date and time'],
  [/\bof (?:your|one’s|someone’s) own\b|\bNothing by that name\b/i, 'custom, or No matches'],
  [/\bWays? (?:in|out)\b|\bThen loosen\b|\bloosening\b/i, 'Getting in, Coming out, Solutions or Release'],
  [/(?<!mood and )\bstrength\b|\bHow strong\b|\btold in breaths\b/i, 'intensity, or measured in breaths'],
  [
    /\bone shape throughout\b|\bof the remainder\b|\bhow high\?/i,
    'no stages, split the remaining time or suggested height',
  ],
  [/\bWhat it costs\b|\bof it holding\b|\bnothing over\b/i, 'Length and load, spent in retention or no time left over'],
  [/\bWorth a second look\b|\bWhere it is not enough\b/i, 'Please check or Shortages'],
  [/\bkept free\b|\bgives way\b|^holds on$|\bquieter\b/i, 'reserved, shorten first, priority or smoother'],
  [
    /\bWhat holds it back\b|\bWhat comes before what\b|\bnever mind\b/i,
    'Rules that limit it, Required order or ignore',
  ],
  [/\bevenings? (?:run|would)\b|\bin 10 would\b|\bHardly an\b/i, 'sessions, 90 % likely or very unlikely'],
  [/\bleave out\b(?! or include)|\bSeen, leave\b|\botherwise\b(?=$| as| \W)/i, 'avoid, Acknowledge or differently'],
  [
    /\bLay ready\b|\bEnd in time\b|\bby unseen\b|\breally went by\b/i,
    'Set out, Finish on time, asleep or Count this time',
  ],
  [
    /\bPhones may look on\b|\bLead it here\b|\bShake with\b|\bgo dark by itself\b/i,
    'Let phones view, Take control here, Vibrate or switch off',
  ],
  [
    /\bClose the session\b|\bPut(?:ting)? right\b|\bastray\b|\bNo hold was held\b/i,
    'Review the session, Correct times or largest difference first',
  ],
  [
    /\bTold of\b|\bno rule here\b|\b(?:put|take) (?:people )?(?:in|out)\b(?! (?:the|a|some) (?:order|place|rounds))/i,
    'Conditions, no guidance available, Add or Remove',
  ],
  [/\bstrokes\b/i, 'pumps (a stroke is an illness)'],
  [/\bStature\b|^Born$|\bWhom to call\b|\bmeasurings\b/i, 'Height, Date of birth, Emergency contact or measurements'],
  [/\bTick what is so\b|\bheld against\b/i, 'Tick all that apply or compared with'],
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
