import type { Figure, Flexibility, Measures, View } from '#core/body';
import type { PlacedProp } from '#core/props';

/** What is asked of the drawing worker. */
export interface FigureRequest {
  figure: Figure;
  props: readonly PlacedProp[];
  statureCm: number;
  flexibility: Flexibility;
  view: View;
  /** Quick and rough, while a slider moves. */
  coarse: boolean;
}

/** A figure as it is shown: the inside of an `svg` element and the box it needs, in millimetres of the room. */
export interface DrawnFigure {
  svg: string;
  box: readonly [x: number, y: number, width: number, height: number];
  level: boolean;
}

/** A figure drawn for one body, with what was measured on it. */
export interface MeasuredFigure extends DrawnFigure {
  measures: Measures;
}
