/** What a phrase tells about a class, whatever its words are. */
export type PhraseKind =
  | 'goIn'
  | 'settle'
  | 'stay'
  | 'more'
  | 'comeOut'
  | 'rest'
  | 'otherSide'
  | 'show'
  | 'yourTurn'
  | 'naming'
  | 'maybe'
  | 'offered'
  | 'not'
  | 'like'
  | 'breatheIn'
  | 'breatheOut'
  | 'holdBreath'
  | 'countOn'
  | 'breatheFreely'
  | 'classBegins'
  | 'begin'
  | 'cue'
  | 'caution'
  | 'prop';

/**
 * Phrases that tell one thing. In a phrase, `(a|b)` is either, `[a]` may be missing, `<limb>`, `<side>` and `<number>`
 * stand for any word of the language’s tables, and `*` is any one word.
 */
export interface PhraseRow {
  kind: PhraseKind;
  phrases: readonly string[];
  /** How much it tells, from 0 to 1. */
  strength: number;
  /** Why it tells that. */
  reason: string;
  /** A sentence it is said in; a test finds it there. */
  example: string;
}

/** Words that show which side a position is on, by what the library says its left side means. */
interface SideRow {
  /** Matched against `leftMeans` of a position. */
  means: RegExp;
  /** Words that go with the limb whose side the position is on. */
  same: readonly string[];
  /** Words that go with the other limb. */
  opposite: readonly string[];
  /** What goes to the other side while this one is held: `look to the right`. Empty where nothing does. */
  elsewhere: readonly string[];
  /** What it means that something goes to, over or onto a side: this side, or the other. */
  towards: 'same' | 'opposite';
  reason: string;
}

/** A breath that is led by its counts, without a name. Rows are tried in their order. */
interface CountedBreath {
  /** How long the out-breath is beside the in-breath; undefined where that does not matter. */
  out?: 'same' | 'longer';
  /** Where the breath is held. */
  held: 'never' | 'full' | 'empty' | 'both';
  /** The technique of the library. */
  technique: string;
  reason: string;
  /** A round that it is counted by; a test finds it there. */
  example: string;
}

/** What is said when the body goes to a place in the room: `onto your back`. Patterns as in `PhraseRow`. */
export interface PlaceRow {
  /** The families of positions that are held there. */
  families: readonly string[];
  phrases: readonly string[];
  reason: string;
  example: string;
}

/** What reading captions has to know of a language. Another language is another of these. */
export interface CaptionLanguage {
  /** In the words of those who use it: `English`. */
  name: string;
  phrases: readonly PhraseRow[];
  places: readonly PlaceRow[];
  /** The techniques of breaths that are counted and not named. */
  countedBreaths: readonly CountedBreath[];
  /** Words for each prop. A position that has one in its name is not held where nobody speaks of it. */
  props: readonly {
    words: readonly string[];
    /** Once somebody is there, it is not spoken of again. */
    stays: boolean;
    /** Props that do as well, by the first of their words: whoever has no pillow rolls a blanket. */
    instead?: readonly string[];
  }[];
  /** Words for the same thing or movement, as far as positions are described by it. */
  alike: readonly (readonly string[])[];
  sides: Readonly<Record<'left' | 'right', readonly string[]>>;
  limbs: readonly string[];
  /** What else has a left and a right: `side`, `nostril`. */
  otherSided: readonly string[];
  /** Words after which, or before which, a word for a side means something else: `right here`, `a minute left`. */
  notASide: { before: readonly string[]; after: readonly string[] };
  sideRows: readonly SideRow[];
  /** Words before a side that show where something goes: `over the left leg`. */
  towards: readonly string[];
  numbers: Readonly<Record<string, number>>;
  /** Words that a machine writes for a number before a unit. */
  heardAs: Readonly<Record<string, number>>;
  units: { minute: readonly string[]; second: readonly string[]; breath: readonly string[]; round: readonly string[] };
  half: readonly string[];
  and: readonly string[];
  /** Before the counts of a phase that are only announced: `in for four`. */
  forCounts: readonly string[];
  /** Between two numbers of a range, as `to` and `or`. */
  to: readonly string[];
  /** Left out when names are compared. */
  small: readonly string[];
  /** Words too common to describe a position. */
  empty: readonly string[];
  /** Names that are everyday words in a class as well: they need a word that shows that a name is meant. */
  everyday: readonly string[];
  /** What is said right after a name: `pose`. */
  afterName: readonly string[];
  /** What says of a pose which one it is, but is no part of its name: `the next pose`. */
  noName: readonly string[];
}
