import { practiceMs } from '#core/breath';
import { APPROACHES, libraryOf, spokenOver, type Position, type Technique } from '#core/catalogue';
import { toMs, type Ms } from '#core/numbers';
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

/** What is read aloud in a technique as it is usually practised; moments in milliseconds from where the practice begins. */
export const readAloud = ({ spoken = [], practice }: Technique): { text: string; atMs: Ms }[] =>
  spokenOver(spoken, practiceMs(practice) / 1000).map(({ text, atSeconds }) => ({ text, atMs: toMs(atSeconds) }));
