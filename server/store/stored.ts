import type { FieldIssue } from '#core/document';
import { HttpProblem } from '../http/problems';

/** What a kind of document is read with: the document, or what is wrong with it. */
type Reading<T> = (value: unknown) => { ok: true; value: T } | { ok: false; issues: readonly FieldIssue[] };

/** A stored text that this Zovrin cannot read: of a newer version, or damaged. It stays as it is. */
class NotReadable extends HttpProblem {
  constructor(
    noun: string,
    readonly reason: string,
  ) {
    super(422, 'Not readable', `This ${noun} cannot be opened. ${reason} It was left as it is.`);
  }
}

/** Reads a stored text. Throws a NotReadable where that fails; never anything else. */
export function readStored<T>(noun: string, text: string, read: Reading<T>): T {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw new NotReadable(noun, 'Its stored text is damaged.');
  }
  const known = read(value);
  if (known.ok) return known.value;
  const [first] = known.issues;
  throw new NotReadable(noun, first?.reason ?? 'It does not fit its format.');
}

/** Why a row cannot be read, or undefined if it can. */
export function reasonNotToRead(read: () => unknown): string | undefined {
  try {
    read();
    return undefined;
  } catch (error) {
    if (error instanceof NotReadable) return error.reason;
    throw error;
  }
}

/** What could be read of some rows, and how many could not. */
export interface Readable<T> {
  values: T[];
  unreadable: number;
}

/** Reads rows; those that cannot be read are left out and counted. */
export function readable<R, T>(rows: readonly R[], read: (row: R) => T): Readable<T> {
  const values: T[] = [];
  for (const row of rows) {
    if (reasonNotToRead(() => values.push(read(row))) !== undefined) continue;
  }
  return { values, unreadable: rows.length - values.length };
}
