import { wrap, type Remote } from 'comlink';
import { readonly, shallowRef } from 'vue';
import type { BodyPlace, Figure } from '#core/body';
import type { Position } from '#core/catalogue';
import type { ForWhom, HowHigh } from '#core/heights';
import type { PlacedProp, PropPlace, SetUp } from '#core/props';
import type { Artist } from './drawing-worker';
import type { DrawnFigure, FigureRequest, MeasuredFigure } from './request';

const KEPT = 240;
const kept = new Map<string, Promise<MeasuredFigure>>();
let artist: Remote<Artist> | undefined;

/** The worker that draws; started when the first figure is asked for that does not ship ready. */
function theArtist(): Remote<Artist> {
  artist ??= wrap<Artist>(new Worker(new URL('./drawing-worker.ts', import.meta.url), { type: 'module' }));
  return artist;
}

/** Draws a figure in the worker; the same one is drawn once. Rejects when the worker can not draw it. */
export function drawFigure(request: FigureRequest): Promise<MeasuredFigure> {
  const key = JSON.stringify(request);
  const known = kept.get(key);
  if (known) {
    kept.delete(key);
    kept.set(key, known);
    return known;
  }
  const drawn = theArtist().draw(JSON.parse(key) as FigureRequest) as Promise<MeasuredFigure>;
  kept.set(key, drawn);
  drawn.catch(() => kept.delete(key));
  const [oldest] = kept.keys();
  if (kept.size > KEPT && oldest !== undefined) kept.delete(oldest);
  return drawn;
}

/** Sent as plain values, whatever the page has wrapped them in. */
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

/** The figure as it comes to rest with these props, so that each of its joints can be set. */
export const figureAsItLies = (figure: Figure, props: readonly PlacedProp[]): Promise<Figure> =>
  theArtist().asItLies(plain(figure), plain(props)) as Promise<Figure>;

/** Where the places of the body are in the picture of a request, in millimetres of it. */
export const figurePlaces = (request: FigureRequest): Promise<BodyPlace[]> =>
  theArtist().places(plain(request)) as Promise<BodyPlace[]>;

/** How high what lies at a place should be for a body; undefined for a place without a measure. */
export const askHowHigh = (
  position: Position,
  setUp: SetUp,
  place: PropPlace,
  side: HowHigh['side'],
  body: ForWhom,
): Promise<HowHigh | undefined> =>
  theArtist().howHigh(plain(position), plain(setUp), place, side, plain(body)) as Promise<HowHigh | undefined>;

const standard = shallowRef<Readonly<Record<string, DrawnFigure>>>();
let asked = false;

/** The figures that ship ready, by the position's id; undefined until they have come, empty where they can not be had. */
export function useStandardFigures() {
  if (!asked) {
    asked = true;
    fetch('/figures/standard.json')
      .then((response) => response.json() as Promise<Record<string, DrawnFigure>>)
      .then(
        (figures) => (standard.value = figures),
        () => {
          // Every figure is drawn by the worker then; the next page to ask tries again.
          standard.value = {};
          asked = false;
        },
      );
  }
  return readonly(standard);
}
