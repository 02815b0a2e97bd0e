const TO_A_SIDE = /\b(roll(?:s|ing)?(?: \w+){0,3}? to) (?:the|one) side\b/gi;

/** A sentence in which someone rolls to a side, with the side the house rolls to; others stay as they are. */
export const withRollSide = (sentence: string, side: 'left' | 'right' | null): string =>
  side === null ? sentence : sentence.replace(TO_A_SIDE, (_, roll: string) => `${roll} the ${side} side`);
