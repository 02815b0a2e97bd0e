import type { Approach, ClassWhere } from '#core/catalogue';
import type { NameIndex } from './names';
import type { Choice, Question } from './types';

/** What a reading knows besides the text. */
export interface Reading {
  index: NameIndex;
  approach: Approach;
  where: ClassWhere | null;
  /** The day it is read on, `2026-11-26`: what `Tuesday` is counted from. */
  today: string;
  newId: () => string;
  /** What was decided of questions, by their ids. */
  decided: Readonly<Record<string, string>>;
}

/** The questions of one line; each is answered by what was decided, or by its first choice. */
export class Questions {
  readonly list: Question[] = [];
  private readonly key: string;
  private readonly decided: Reading['decided'];

  constructor(key: string, decided: Reading['decided']) {
    this.key = key;
    this.decided = decided;
  }

  /** Puts a question and gives the value of the choice that holds; where there is only one choice, nothing is in question. */
  choose<V extends string>(about: string, choices: readonly (Choice & { value: V })[]): V {
    const again = this.list.filter((question) => question.about === about).length;
    const id = `${this.key} ${about}${again > 0 ? ` ${again + 1}` : ''}`;
    const [first] = choices;
    if (!first) throw new RangeError('A question has at least one choice.');
    if (choices.length === 1) return first.value;
    const chosen = choices.find(({ value }) => value === this.decided[id]) ?? first;
    this.list.push({ id, about, choices: [...choices], chosen: chosen.value });
    return chosen.value;
  }
}
