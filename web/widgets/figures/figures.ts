import { readonly, shallowRef } from 'vue';
import type { BodyPlace, Figure } from '#core/body';
import type { Position } from '#core/catalogue';
import type { ForWhom, SuggestedHeight } from '#core/heights';
import type { PlacedProp, PropPlace, SetUp } from '#core/props';
import { keptThread, plain } from '../../client/thread';
import type { Artist } from '../../workers/drawing';
import type { DrawnFigure, FigureRequest, MeasuredFigure } from '../../workers/drawing-request';

const KEPT = 240;
const cache = new Map<string, Promise<MeasuredFigure>>();
/** Asks the thread that draws, started with the first figure that does not ship ready. */
const ask = keptThread<Artist>(
  () => new Worker(new URL('../../workers/drawing.ts', import.meta.url), { type: 'module' }),
  'The part of Zovrin that draws figures could not be loaded. Reload the page to try again.',
);

/** Draws a figure in the worker; the same one is drawn once. Rejects when the worker cannot draw it. */
export function drawFigure(request: FigureRequest): Promise<MeasuredFigure> {
  const key = JSON.stringify(request);
  const known = cache.get(key);
  if (known) {
    cache.delete(key);
    cache.set(key, known);
    return known;
  }
  const drawn = ask<MeasuredFigure>((artist) => artist.draw(JSON.parse(key) as FigureRequest));
  cache.set(key, drawn);
  drawn.catch(() => cache.delete(key));
  const [oldest] = cache.keys();
  if (cache.size > KEPT && oldest !== undefined) cache.delete(oldest);
  return drawn;
}

/** The figure as it comes to rest with these props, so that each of its joints can be set. */
export const figureAsItLies = (figure: Figure, props: readonly PlacedProp[]): Promise<Figure> =>
  ask((artist) => artist.bakePose(plain(figure), plain(props)));

/** Where the places of the body are in the picture of a request, in millimetres of it. */
export const figurePlaces = (request: FigureRequest): Promise<BodyPlace[]> =>
  ask((artist) => artist.places(plain(request)));

/** How high what lies at a place should be for a body; undefined for a place without a measure. */
export const askSuggestedHeight = (
  position: Position,
  setUp: SetUp,
  place: PropPlace,
  side: SuggestedHeight['side'],
  body: ForWhom,
): Promise<SuggestedHeight | undefined> =>
  ask((artist) => artist.suggestedHeight(plain(position), plain(setUp), place, side, plain(body)));

const standard = shallowRef<Readonly<Record<string, DrawnFigure>>>();
let isRequested = false;

/**
 * The figures that ship ready, by the position's id; undefined until they have come, empty if they cannot be had.
 */
export function useStandardFigures() {
  if (!isRequested) {
    isRequested = true;
    fetch('/figures/standard.json')
      .then((response) => response.json() as Promise<Record<string, DrawnFigure>>)
      .then(
        (figures) => (standard.value = figures),
        () => {
          // Every figure is drawn by the worker then; the next page to ask tries again.
          standard.value = {};
          isRequested = false;
        },
      );
  }
  return readonly(standard);
}
