/** So many values of each kind are kept. */
const MAX_KEPT = 5000;

/**
 * Values that are worked out from stored rows, by the row's id and a stamp that changes whenever the row does: a
 * revision, a number of events. The ones that were asked for longest ago are let go of first.
 */
export class Derived<T> {
  readonly #values = new Map<string, { stamp: string; value: T }>();

  /** The value of a row as it is at this stamp, or undefined if it has to be worked out. */
  get(id: string, stamp: string): T | undefined {
    const known = this.#values.get(id);
    if (known?.stamp !== stamp) return undefined;
    this.#values.delete(id);
    this.#values.set(id, known);
    return known.value;
  }
  set(id: string, stamp: string, value: T): void {
    this.#values.delete(id);
    this.#values.set(id, { stamp, value });
    if (this.#values.size <= MAX_KEPT) return;
    const [oldest] = this.#values.keys();
    if (oldest !== undefined) this.#values.delete(oldest);
  }
  clear(): void {
    this.#values.clear();
  }
}
