const MOST = 60;

/** Takes a number of breaths, sets or copies that is whole and not too large; refuses any other with the reason. */
export const wholeBreaths =
  (take: (count: number) => void) =>
  (count: number): string | undefined => {
    if (!Number.isInteger(count) || count < 1 || count > MOST) return `A whole number from 1 to ${MOST}.`;
    take(count);
    return undefined;
  };
