import type { PlainStep } from '#core/plan';

/** How a step that is no hold and no breath begins, in the words of teachers. */
const FORMS: readonly (readonly [RegExp, PlainStep['kind']])[] = [
  [
    /^(?:talk\w*|arriv\w+|welcome\w*|intro\w*|open(?:ing)?|check[- ]?in|clos(?:e|ing)|explain\w*|greet\w*|settl(?:e|ing)(?:[- ]in)?|shar(?:e|ing)|questions?|q ?& ?a|feedback|good ?bye|tea|hello|announcements?|speak\w*)(?![\p{L}])/u,
    'talk',
  ],
  [/^(?:rest|pause|stillness|still rest|quiet rest|be still)(?![\p{L}])/u, 'rest'],
  [
    /^(?:releas\w+|loosen\w*|shak(?:e|ing)\w*|wiggle\w*|move|movement|free movement|walk(?:ing)?|stand up|come to standing|get up|stretch out)(?![\p{L}])/u,
    'move',
  ],
];

/** What kind of thin step words begin like; undefined if like none. */
export const plainKindOf = (words: string): PlainStep['kind'] | undefined =>
  FORMS.find(([pattern]) => pattern.test(words.trim().toLowerCase()))?.[1];
