import {
  counterposeFor,
  needsCounterpose,
  type Bend,
  type Effect,
  type HoldDefaults,
  type Moment,
  type NamedSetUp,
  type Position,
  type Variation,
} from '#core/catalogue';
import type { SetUpRow } from '#core/props';
import { usualWhy } from './whys';

/** A position without its figure, which is written with the other figures. */
export type PositionText = Omit<Position, 'figure'>;

type Length = readonly [seconds: number, least: number, most: number, strength: number];

interface PositionDefinition {
  id: string;
  names: readonly [english: string, sanskrit?: string, yin?: string];
  short: string;
  family: Position['family'];
  outInto: Position['family'];
  /** What "left" means; a position without it is done together. */
  left?: string;
  sides?: Position['sides'];
  lengths: Partial<Record<keyof Position['defaults'], Length>>;
  /** Seconds to come in, to come out, to change sides. */
  times: readonly [enter: number, leave: number, change: number];
  areas: Position['areas'];
  aims: string;
  setUps: NamedSetUp[];
  stages?: Position['stages'];
  waysIn: string[];
  waysOut: string[];
  prompts: Position['prompts'];
  easier: Variation;
  stronger: Variation;
  rebound?: readonly [seconds: number, when: Position['rebound']['when']];
  loosen?: string;
  answer?: string;
  /** What it asks a counterpose for and what it is one for, where that does not follow from its traits. */
  needsCounterpose?: Bend[];
  counterposeFor?: Bend[];
  effect?: Effect;
  traits: Position['traits'];
  caution: string;
}

const length = ([seconds, minSeconds, maxSeconds, strength]: Length): HoldDefaults => ({
  seconds,
  minSeconds,
  maxSeconds,
  strength,
});

/** Rows of one kind at one place, in two folds, have ids of their own. */
const withOwnIds = (items: readonly SetUpRow[]): SetUpRow[] =>
  items.map((item, i) => {
    const before = items.slice(0, i).filter(({ id }) => id === item.id).length;
    return before === 0 ? item : { ...item, id: `${item.id}-${before + 1}` };
  });

/** A library entry from what a teacher would tell of it. */
export function definePosition(entry: PositionDefinition): PositionText {
  const { names, times, rebound = [30, 'none'], lengths } = entry;
  return {
    id: entry.id,
    names: { english: names[0], sanskrit: names[1] ?? '', yin: names[2] ?? '' },
    short: entry.short,
    family: entry.family,
    comesOutInto: entry.outInto,
    sides: entry.sides ?? (entry.left ? 'each' : 'together'),
    leftMeans: entry.left ?? '',
    defaults: Object.fromEntries(Object.entries(lengths).map(([approach, of]) => [approach, length(of)])),
    enterSeconds: times[0],
    leaveSeconds: times[1],
    switchSeconds: times[2],
    areas: entry.areas,
    aims: entry.aims,
    setUps: entry.setUps.map((setUp) => ({
      ...setUp,
      items: withOwnIds(setUp.items).map((item) => ({ ...item, why: item.why || usualWhy(item, entry.family) })),
    })),
    stages: entry.stages ?? [],
    waysIn: entry.waysIn,
    waysOut: entry.waysOut,
    prompts: entry.prompts,
    easier: entry.easier,
    stronger: entry.stronger,
    rebound: { seconds: rebound[0], when: rebound[1] },
    loosen: entry.loosen ?? '',
    answer: entry.answer ?? '',
    needsCounterpose: [...needsCounterpose(entry)],
    counterposeFor: [...counterposeFor(entry)],
    ...(entry.effect && { effect: entry.effect }),
    traits: entry.traits,
    caution: entry.caution,
  };
}

/** A set-up with the props of a studio. */
export const studio = (id: string, name: string, ...items: SetUpRow[]): NamedSetUp => ({
  id,
  name,
  home: false,
  items,
});
/** A set-up with what is found at home. */
export const home = (name: string, ...items: SetUpRow[]): NamedSetUp => ({
  id: 'home',
  name: `At home: ${name}`,
  home: true,
  items,
});
/** A set-up with what lies on a bed. */
export const inBed = (name: string, ...items: SetUpRow[]): NamedSetUp => ({
  id: 'bed',
  name: `In bed: ${name}`,
  home: true,
  where: 'bed',
  items,
});
export const prompt = (at: Moment, text: string) => ({ at, text });
/** A variation in words, shown by one of the entry's set-ups (`#id`) or by another position (`id`). */
export const say = (words: string, shown?: string): Variation => {
  if (!shown) return { words };
  return shown.startsWith('#') ? { words, setUp: shown.slice(1) } : { words, position: shown };
};
