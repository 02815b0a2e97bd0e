import { draw, ID_MARK, ORDINARY, settle, svgOf, REFERENCE_HEIGHT_CM } from '#core/body';
import { placedProps } from '#core/props';
import { POSITIONS } from '../entries';

/** A figure ready to be shown: what goes inside an `svg` element and the box it needs, in millimetres of the room. */
export interface StandardFigure {
  svg: string;
  box: [x: number, y: number, width: number, height: number];
  level: boolean;
}

/** Coarse enough for a picture the size of a hand, so that all of them load at once. */
const CELL_CM = 0.55;

/** Every position with its first set-up, from where it is best seen, for the standard body: by the position's id. */
export function standardFigures(): Record<string, StandardFigure> {
  return Object.fromEntries(
    POSITIONS.map(({ id, figure, setUps }) => {
      const settled = settle(figure, placedProps(setUps[0]?.items ?? [], 'left'), REFERENCE_HEIGHT_CM, ORDINARY);
      const drawing = draw(settled, figure.view, CELL_CM);
      return [id, { svg: svgOf(drawing, ID_MARK), box: drawing.box, level: drawing.level }];
    }),
  );
}
