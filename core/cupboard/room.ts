import type { PropPlace, SetUp } from '#core/props';
import type { Place } from './place';

/** Which way people lie or sit at a wall: their heads towards the room, or at the wall. */
export type Heads = 'out' | 'in';

/** Legs or soles at the wall leave the head in the room; hands or the back at the wall bring it to the wall. */
export const headsAtWall = (place: PropPlace): Heads => (place === 'hands' || place === 'behind' ? 'in' : 'out');

/**
 * How many people have room at a wall at once, side by side, mats end on. Each takes the width of a mat, or the breadth
 * of the body where that is more; between two there is the gap. Centimetres.
 */
export function peopleAtWall({ wallCm, mats }: Pick<Place, 'wallCm' | 'mats'>, breadthCm = 0): number {
  const share = Math.max(mats.widthCm, breadthCm);
  return wallCm < share ? 0 : Math.floor((wallCm + mats.gapCm) / (share + mats.gapCm));
}

/** Whether so many people can have a set-up when `atWall` of them have room at the wall; null: any number. */
export const fitsWall = (setUp: SetUp, people: number, atWall: number | null): boolean =>
  atWall === null || people <= atWall || !setUp.some(({ kind }) => kind === 'wall');

/** So many people at a wall, in as even turns as can be: `[5, 4]`. Empty if nobody has room. */
export function wallTurns(people: number, atOnce: number): number[] {
  if (atOnce < 1) return [];
  const turns = Math.ceil(people / atOnce);
  return Array.from({ length: turns }, (_, i) => Math.floor((people + i) / turns)).reverse();
}

/** A mat on the floor, seen from above: its corner nearest the origin and what it covers, in centimetres. */
export interface LaidMat {
  x: number;
  y: number;
  width: number;
  length: number;
}

/** How many things of a length, with a gap between two, lie in a row. */
const inRow = (roomCm: number, sizeCm: number, gapCm: number): number =>
  roomCm < sizeCm ? 0 : Math.floor((roomCm + gapCm) / (sizeCm + gapCm));

/**
 * The mats that fit on a floor with a gap between any two: rows of mats lengthwise, then rows of mats crosswise, in the
 * number of rows that fits the most; the floor is tried both ways round. Empty if the floor is not measured.
 */
export function matsOnFloor({ floor, mats }: Pick<Place, 'floor' | 'mats'>): LaidMat[] {
  if (!floor) return [];
  const { widthCm: mat, lengthCm: long, gapCm } = mats;
  const layouts = [
    { across: floor.widthCm, along: floor.lengthCm, turned: false },
    { across: floor.lengthCm, along: floor.widthCm, turned: true },
  ].flatMap(({ across, along, turned }) =>
    Array.from({ length: inRow(along, long, gapCm) + 1 }, (_, rows) => {
      const laid: LaidMat[] = [];
      const put = (x: number, y: number, width: number, length: number) =>
        laid.push(turned ? { x: y, y: x, width: length, length: width } : { x, y, width, length });
      for (let row = 0; row < rows; row++)
        for (let i = 0; i < inRow(across, mat, gapCm); i++) put(i * (mat + gapCm), row * (long + gapCm), mat, long);
      const from = rows * (long + gapCm);
      for (let row = 0; row < inRow(along - from, mat, gapCm); row++)
        for (let i = 0; i < inRow(across, long, gapCm); i++)
          put(i * (long + gapCm), from + row * (mat + gapCm), long, mat);
      return laid;
    }),
  );
  return layouts.reduce((best, layout) => (layout.length > best.length ? layout : best));
}

/** How many people fit a place at once, one mat each, and what limits it. */
export interface Capacity {
  people: number;
  by: 'mats' | 'floor';
}

/** The smaller of the mats in stock and the mats that fit on the floor. */
export function capacityOf(place: Place): Capacity {
  const there = place.mats.count;
  if (!place.floor) return { people: there, by: 'mats' };
  const fit = matsOnFloor(place).length;
  return fit < there ? { people: fit, by: 'floor' } : { people: there, by: 'mats' };
}

/** Why a group is too large for a place, and what would work; empty if there is a mat for everyone. */
export function groupTooLarge(place: Place, people: number): string {
  const { people: most, by } = capacityOf(place);
  if (people <= most) return '';
  const why =
    by === 'floor'
      ? `${place.name} has floor for ${most} mats`
      : `${place.name} has ${most === 1 ? '1 mat' : `${most} mats`}`;
  if (most === 0) return `${why}. Say how many there are in the cupboard, or let everyone bring one.`;
  const turns = wallTurns(people, most);
  const own = by === 'mats' ? ` ${people - most} would have to bring their own;` : '';
  return `${people} people, but ${why}.${own} ${turns.length} groups of ${turns[0]} would fit, or a larger place.`;
}
