/** The words of the field and of this tool, as they are used here. */
export const GLOSSARY: readonly { word: string; means: string }[] = [
  { word: 'hold', means: 'A position that is kept for a length of time: once for both sides, or once for each.' },
  { word: 'set-up', means: 'The props of a hold, each with its place, its fold and how it lies.' },
  { word: 'range', means: 'The shortest and the longest a hold may get when a plan is fitted to a length.' },
  { word: 'stage', means: 'A part of a hold with its own length and, where wanted, its own props.' },
  { word: 'changing sides', means: 'The time between the first side and the second.' },
  { word: 'rebound', means: 'A still rest after a hold, in which its effect is noticed.' },
  { word: 'release', means: 'A short, easy movement after a hold.' },
  { word: 'counterpose', means: 'A position that answers the one before: after folding forward, a gentle arch.' },
  { word: 'round', means: 'One pass through the pattern of a breath technique.' },
  { word: 'count', means: 'The beat in which a breath is measured; one second unless you set another.' },
  { word: 'retention', means: 'A breath held: full after the in-breath, or empty after the out-breath.' },
  { word: 'ratio', means: 'The counts of in, hold, out and hold: 4:0:8:0 breathes out for twice as long as in.' },
  {
    word: 'course',
    means: 'Several weeks, or sessions, that grow from one plan; what grows, and how fast, is said once.',
  },
  { word: 'pumps', means: 'Short, active out-breaths, one after the other.' },
  { word: 'deviation', means: 'The difference between what was planned and what was held.' },
  {
    word: 'lock',
    means: 'A locked length stays as it is when a plan is fitted; a passphrase locks what is about people.',
  },
];
