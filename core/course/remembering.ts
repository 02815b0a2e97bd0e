/** A pure function that remembers its latest answers, by its question as text: asked the same again, it does not work. */
export function remembering<Q extends unknown[], A>(work: (...question: Q) => A, max: number): (...question: Q) => A {
  const answers = new Map<string, A>();
  return (...question) => {
    const key = JSON.stringify(question);
    const known = answers.get(key);
    const answer = known === undefined ? work(...question) : known;
    // What was asked last is forgotten last.
    answers.delete(key);
    answers.set(key, answer);
    const [oldest] = answers.keys();
    if (answers.size > max && oldest !== undefined) answers.delete(oldest);
    return answer;
  };
}
