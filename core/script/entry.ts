import { APPROACHES, libraryOf, type Position } from '#core/catalogue';
import { emptyPlan, holdFrom, sideSeconds, type HoldStep, type Side } from '#core/plan';
import { compileTimeline } from '#core/timeline';
import { scriptOf, type ScriptLine } from './script';

/** One side of a hold alone; a hold of both sides at once as it is. */
const onlySide = (sides: HoldStep['sides'], side: Side): HoldStep['sides'] =>
  sides.kind === 'together' ? sides : { kind: 'one', side, seconds: Math.max(...Object.values(sideSeconds(sides))) };

/**
 * What is said in one side of a position as it is usually held, in the first approach it has a length for; moments in
 * milliseconds from where the body begins to get in.
 */
export function positionScript(position: Position, side: Side): ScriptLine[] {
  const approach = APPROACHES.find((one) => position.defaults[one]) ?? 'blended';
  const hold = holdFrom(position, approach, 'this');
  const plan = {
    ...emptyPlan(position.names.english),
    steps: [{ ...hold, setUp: [], setupSeconds: 0, sides: onlySide(hold.sides, side) }],
  };
  const library = libraryOf([position], []);
  return scriptOf(plan, compileTimeline(plan, library), library);
}
