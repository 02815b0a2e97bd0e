const OTHER = { left: 'right', right: 'left' } as const;

/** Where the words are no sides of a body: a right angle, right away, all right, what is left over. */
const NO_SIDE =
  /(?<=\ball )right\b|\bright(?=-?\s?angle| away\b| now\b| then\b| here\b| there\b| up to\b| through\b| after\b)|\bleft(?= over\b| out\b| undone\b| alone\b)|(?<=\b(?:time|breaths?|nothing|anything|is|be) )left\b(?= in\b|[.,;!?]|$)/giy;
const SIDE = /\b(left|right)\b/gi;

function likeCase(word: string, as: string): string {
  if (as === as.toUpperCase()) return word.toUpperCase();
  const begins = as.charAt(0);
  return begins === begins.toUpperCase() ? word.charAt(0).toUpperCase() + word.slice(1) : word;
}

/**
 * Words that are written for the left side held, as they are said on a side: on the right, left and right change
 * places. The words of a set-up are mirrored with it.
 */
export function wordsOnSide(text: string, side: 'left' | 'right' | 'both' | 'none'): string {
  if (side !== 'right') return text;
  return text.replace(SIDE, (word: string, _match: string, at: number) => {
    NO_SIDE.lastIndex = at;
    return NO_SIDE.test(text) ? word : likeCase(OTHER[word.toLowerCase() as 'left' | 'right'], word);
  });
}
