/**
 * For what is asked for again while an earlier answer is still on its way: each call is a new question, and gives a
 * function that says whether no later one has been asked since.
 */
export function latestOnly(): () => () => boolean {
  let request = 0;
  return () => {
    const mine = ++request;
    return () => mine === request;
  };
}
