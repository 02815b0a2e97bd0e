import type { PlaceRow } from '#core/exchange';

/** What is said when the body goes to a place in the room. */
export const ENGLISH_PLACES: readonly PlaceRow[] = [
  {
    families: ['supine', 'wall'],
    phrases: [
      '(onto|on to) [the|your] (back|backs)',
      '(lie|lying|lay|laying|roll|come|down|rest|flat|over) [down] (on|to) [the|your] (back|backs)',
      '(lie|lying|lay|laying|recline|reclining) [all] [the] [way] [yourself] (back|down)',
      '(reclined|reclining|supine)',
      'roll back',
      'stretch out [long]',
    ],
    reason: 'What follows is held on the back.',
    example: 'Make your way down onto your back.',
  },
  {
    families: ['wall', 'supine'],
    phrases: ['(up|at|on|against|to|over) [to] (the|a) wall'],
    reason: 'What follows is held at the wall, mostly on the back.',
    example: 'Swing the legs up the wall.',
  },
  {
    families: ['prone'],
    phrases: [
      '(onto|on to|over to) [the|your|our] (belly|bellies|tummy|tummies|front|fronts|stomach|stomachs)',
      '(lie|lying|lay|laying|flat|down|rest) [down|flat] on [the|your|our] (belly|bellies|tummy|tummies|front|fronts|stomach|stomachs)',
      '(face down|prone)',
    ],
    reason: 'What follows is held on the front.',
    example: 'Slide forward onto your belly.',
  },
  {
    families: ['sideLying'],
    phrases: [
      '(on|onto|on to) [the|your|our] [<side>] side',
      '(roll|rolling) [over] [onto|on|to] [the|your] <side> side',
      'side lying',
      'lie on [the|your] [<side>] side',
    ],
    reason: 'What follows is held on one side, where it is not only the way up.',
    example: 'We’ll stay on the side now.',
  },
  {
    families: ['kneeling'],
    phrases: [
      '(all fours|hands and knees|tabletop|table top)',
      '(kneel|kneeling)',
      'on [the|your] knees',
      '(sit|sitting|sink) [it] back (on|onto|into|to|over|between) [the|your] [heels]',
      '(back|bottom|seat) to [the|your] heels',
    ],
    reason: 'What follows is held on the knees.',
    example: 'Come onto your hands and knees.',
  },
  {
    families: ['seated'],
    phrases: [
      '(sit|sitting) (up|down|on|tall|with|in|sideways|cross|at|away|by|straight)',
      '(come|coming|up|push up|swing) [up|round|back] to (sit|sitting|seated|a seat)',
      'up to (sit|sitting|seated|a seat)',
      '(seated|cross legged|crosslegged)',
      'legs [out] in front [of you]',
    ],
    reason: 'What follows is held sitting.',
    example: 'Come up to sitting.',
  },
  {
    families: ['standing'],
    phrases: ['(come|get|up) [up] to (stand|standing|your feet)', '(stand|standing) (up|at|with|on|tall|in)'],
    reason: 'What follows is held standing.',
    example: 'Come up to standing at the top of your mat.',
  },
];
