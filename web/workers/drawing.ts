import { expose } from 'comlink';
import {
  bakePose,
  bodyPlaces,
  COARSE_CM,
  draw,
  FINE_CM,
  ID_MARK,
  measure,
  ORDINARY,
  settle,
  svgOf,
  REFERENCE_HEIGHT_CM,
  type BodyPlace,
  type Figure,
  type Settled,
} from '#core/body';
import type { Position } from '#core/catalogue';
import { suggestedHeight, type ForWhom, type SuggestedHeight } from '#core/heights';
import type { PlacedProp, PropPlace, SetUp } from '#core/props';

import type { FigureRequest, MeasuredFigure } from './drawing-request';

/** The last body that came to rest: another view of it needs drawing only. */
let last: { key: string; settled: Settled } | undefined;

function settled({ figure, props, statureCm, flexibility }: FigureRequest): Settled {
  const key = JSON.stringify([figure, props, statureCm, flexibility]);
  if (last?.key !== key) last = { key, settled: settle(figure, props, statureCm, flexibility) };
  return last.settled;
}

/** Settles and draws away from the page, so that nothing on it waits. */
const artist = {
  draw(request: FigureRequest): MeasuredFigure {
    const body = settled(request);
    const drawing = draw(body, request.view, request.coarse ? COARSE_CM : FINE_CM);
    return { svg: svgOf(drawing, ID_MARK), box: drawing.box, level: drawing.level, measures: measure(body) };
  },
  /** Where the places of the body are in the picture that `draw` gives for the same request. */
  places: (request: FigureRequest): BodyPlace[] => bodyPlaces(settled(request), request.view),
  suggestedHeight: (
    position: Position,
    setUp: SetUp,
    place: PropPlace,
    side: SuggestedHeight['side'],
    body: ForWhom,
  ): SuggestedHeight | undefined => suggestedHeight(position, setUp, place, side, body),
  /** The figure as it comes to rest with these props, so that each of its joints can be set. */
  bakePose: (figure: Figure, props: readonly PlacedProp[]): Figure =>
    bakePose(figure, settle(figure, props, REFERENCE_HEIGHT_CM, ORDINARY)),
};
export type Artist = typeof artist;

expose(artist);
