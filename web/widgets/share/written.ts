/** What is handed over, ready to be copied, printed or saved. */
export interface Written {
  text: string;
  /** What is not in it, each in a few words. */
  notInIt?: string[];
  /** The end of the file’s name, and its media type. */
  ending: string;
  type: string;
}

/** A form that something can be handed over in. */
export interface ShareForm<F extends string = string> {
  value: F;
  label: string;
  /** What it is good for, in a sentence. */
  says: string;
}
