import { z } from 'zod';
import { readDocument, text, words, type DocumentKind, type Read } from '#core/document';
import { customKindLabel, CustomKind, PROP_KIND_NAMES, propKind, type Available, type KnownKind } from '#core/props';

const PLACE_FORMAT = 'zovrin-place';
const PLACE_VERSION = 2;
const MAX_PIECES = 999;
const MAX_OWN = 40;

/** Kinds that a cupboard can hold; a wall is not one of them. */
export const STOCKED = PROP_KIND_NAMES.filter((kind) => !propKind(kind).fixture);

const Pieces = (what: string) =>
  z
    .int(`${what} are counted in whole pieces.`)
    .min(0, `There cannot be fewer than no ${what.toLowerCase()}.`)
    .max(MAX_PIECES, `At most ${MAX_PIECES} pieces of a kind.`);

const metres = (cm: number): string => `${cm / 100} m`;
const length = (what: string, least: number, most: number) =>
  z
    .number(`${what} is a number of centimetres.`)
    .min(least, `${what} is at least ${least < 100 ? `${least} cm` : metres(least)}.`)
    .max(most, `${what} is at most ${metres(most)}.`);

export const SETTINGS = ['studio', 'hall', 'home'] as const;
export type Setting = (typeof SETTINGS)[number];

/** Whether a zone is known here, by the database of time zones that comes with the platform. */
function isZone(zone: string): boolean {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: zone }).resolvedOptions().timeZone !== '';
  } catch {
    return false;
  }
}

/** A place where classes are held: its cupboard, its mats, its wall and its floor. Lengths in centimetres. */
export const Place = z
  .strictObject({
    format: z.literal(PLACE_FORMAT, 'This is not a place.'),
    version: z.literal(PLACE_VERSION),
    name: words('A name', 80),
    note: text('A note', 1000),
    setting: z.enum(SETTINGS),
    /** The zone of its clocks, such as `Europe/Dublin`; null for that of the device. */
    zone: z.string().refine(isZone, 'This time zone is not known.').nullable(),
    /** Pieces of each kind; a missing kind means none. */
    stock: z.partialRecord(z.enum(STOCKED as [KnownKind, ...KnownKind[]]), Pieces('Pieces')),
    /** Custom kinds, with their sizes. */
    own: z
      .array(z.strictObject({ kind: CustomKind, count: Pieces('Pieces') }))
      .max(MAX_OWN, `At most ${MAX_OWN} custom kinds.`),
    mats: z.strictObject({
      count: Pieces('Mats'),
      widthCm: length('A mat’s width', 40, 150),
      lengthCm: length('A mat’s length', 120, 260),
      /** What stays free between two mats, at the sides and at the ends. */
      gapCm: length('The gap between mats', 0, 300),
    }),
    /** The floor mats can lie on; null if it is not measured. */
    floor: z
      .strictObject({
        widthCm: length('The floor’s width', 100, 6000),
        lengthCm: length('The floor’s length', 100, 6000),
      })
      .nullable(),
    /** Free wall that people can lie or sit against; 0 if there is none. */
    wallCm: length('The wall', 0, 20_000),
  })
  .superRefine(({ own }, context) => {
    for (const [i, { kind }] of own.entries()) {
      if (own.findIndex((other) => other.kind.label === kind.label) < i)
        context.addIssue({
          code: 'custom',
          path: ['own', i, 'kind', 'label'],
          message: `There is a “${kind.label}” here already.`,
        });
    }
  });
export type Place = z.infer<typeof Place>;

const PLACE_DOCUMENT: DocumentKind<Place> = {
  format: PLACE_FORMAT,
  called: 'a place',
  version: PLACE_VERSION,
  migrations: { 1: (place) => ({ ...place, zone: null }) },
  schema: Place,
};

/** Reads a place from any value. Returns the place, or every invalid field with the reason. Never throws. */
export const readPlace = (value: unknown): Read<Place> => readDocument(PLACE_DOCUMENT, value);

/** A new place: nothing in its cupboard, ordinary mats, no wall. */
export const newPlace = (name: string, setting: Setting): Place => ({
  format: PLACE_FORMAT,
  version: PLACE_VERSION,
  name,
  note: '',
  setting,
  zone: null,
  stock: {},
  own: [],
  mats: { count: 0, widthCm: 60, lengthCm: 180, gapCm: 40 },
  floor: null,
  wallCm: 0,
});

/** The stock of a place, custom kinds included. */
export function availableIn({ stock, own }: Place): Available {
  const pieces: Available = { ...stock };
  for (const { kind, count } of own) pieces[customKindLabel(kind)] = count;
  return pieces;
}

/** The custom kinds of a place. */
export const customKindsOf = ({ own }: Place): CustomKind[] => own.map(({ kind }) => kind);
