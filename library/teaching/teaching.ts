/** What a teacher who watches knows of a position, beyond how it is done. */
export interface Teaching {
  /** What commonly goes wrong, and what to say then. */
  mistakes: string;
  /** What is seen from outside, and what it means. */
  watch: string;
}
