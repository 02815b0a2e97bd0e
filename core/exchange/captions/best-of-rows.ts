/**
 * Where two rows of scores are best together, looked for in blocks: what cannot be better than the best so far is passed
 * over without looking at each place of it.
 */

const NEVER = -Infinity;

/** So many moments make a block: one that cannot be better than what was found is passed over as a whole. */
const BLOCK_BITS = 3;
const blocksOf = (width: number): number => (width >> BLOCK_BITS) + 1;

/** Scores at moments, with the highest of each block. */
export class Row {
  readonly values: Float64Array;
  readonly highest: Float64Array;
  constructor(width: number) {
    this.values = new Float64Array(width).fill(NEVER);
    this.highest = new Float64Array(blocksOf(width)).fill(NEVER);
  }
  set(at: number, value: number): void {
    this.values[at] = value;
    if (value > this.highest[at >> BLOCK_BITS]!) this.highest[at >> BLOCK_BITS] = value;
  }
}

/** A table of spans read along its rows, with the highest of each block, and where each row begins and ends. */
export class Table {
  readonly highest: Float64Array;
  readonly first: Int32Array;
  readonly last: Int32Array;
  private readonly blocks: number;
  constructor(
    readonly values: Float64Array,
    readonly width: number,
  ) {
    this.blocks = blocksOf(width);
    this.highest = new Float64Array(width * this.blocks).fill(NEVER);
    this.first = new Int32Array(width).fill(width);
    this.last = new Int32Array(width).fill(-1);
    for (let row = 0; row < width; row++)
      for (let i = 0; i < width; i++) {
        const value = values[row * width + i]!;
        if (value === NEVER) continue;
        const block = row * this.blocks + (i >> BLOCK_BITS);
        if (value > this.highest[block]!) this.highest[block] = value;
        if (i < this.first[row]!) this.first[row] = i;
        this.last[row] = i;
      }
  }
  /** The same table by its columns. */
  turned(): Table {
    const { values, width } = this;
    const turned = new Float64Array(width * width);
    for (let row = 0; row < width; row++)
      for (let i = 0; i < width; i++) turned[i * width + row] = values[row * width + i]!;
    return new Table(turned, width);
  }
  /**
   * Where a row of scores and one of this table are best together, from one place to another; −1 where nothing there
   * is better than a score that is known.
   * @param near where it was best the last time: the higher what is found first, the more is passed over
   */
  best(row: number, scores: Row, from: number, to: number, known: number, near: number): number {
    const { values, highest } = scores;
    const first = Math.max(from, this.first[row]!);
    const last = Math.min(to, this.last[row]!);
    const [start, startOfBlocks] = [row * this.width, row * this.blocks];
    let [best, found] = [known, -1];
    if (near >= first && near <= last && values[near]! + this.values[start + near]! > best) {
      best = values[near]! + this.values[start + near]!;
      found = near;
    }
    for (let at = first; at <= last;) {
      const block = at >> BLOCK_BITS;
      const end = Math.min(last + 1, (block + 1) << BLOCK_BITS);
      if (highest[block]! + this.highest[startOfBlocks + block]! <= best) at = end;
      for (; at < end; at++) {
        const total = values[at]! + this.values[start + at]!;
        if (total > best) {
          best = total;
          found = at;
        }
      }
    }
    return found;
  }
}
