import { placedProps, propKind, type CustomSize, type PlacedProp, type PropKind } from '#core/props';
import type { Ms } from '#core/numbers';
import type { StepSpan, Timeline } from '#core/timeline';

/** Pieces of one sort that the whole group needs at once. */
export interface Want {
  kind: PropKind;
  state: string;
  size?: CustomSize;
  /** Only if wanted. */
  optional: boolean;
  pieces: number;
}

/** A stretch of time in which the whole group needs the same pieces: a hold, or a stage of one. */
export interface Moment {
  startMs: Ms;
  endMs: Ms;
  stepIndex: number;
  stepId: string;
  wants: Want[];
  /** How many people are at the wall. */
  atWall: number;
}

/** How many people of a group have the other set-up of a step. */
export const withOtherSetUp = ({ otherSetUp }: Pick<StepSpan, 'otherSetUp'>, people: number): number =>
  Math.min(people, otherSetUp?.people ?? 0);

function wantsOf(sorts: readonly { props: readonly PlacedProp[]; people: number }[]): Want[] {
  const wants = new Map<string, Want>();
  for (const { props, people } of sorts) {
    if (people === 0) continue;
    for (const { kind, state, size, count, optional } of props) {
      if (propKind(kind).fixture) continue;
      const key = `${kind} ${state} ${optional ? 'optional' : ''}`;
      const want = wants.get(key) ?? { kind, state, ...(size && { size }), optional: optional ?? false, pieces: 0 };
      want.pieces += count * people;
      wants.set(key, want);
    }
  }
  return [...wants.values()];
}

const usesWall = (props: readonly PlacedProp[]): boolean => props.some(({ kind }) => kind === 'wall');

/**
 * What a group of so many people needs, moment after moment: one for each stretch of a step with the same props in
 * place. Props that only lie about while people talk, loosen or rest without them are not in use. Where a step has
 * another set-up for some of the group, each part has its own.
 */
export function momentsOf(timeline: Timeline, people: number): Moment[] {
  const moments: Moment[] = [];
  for (const step of timeline.steps) {
    if (!step.usesProps) continue;
    const others = withOtherSetUp(step, people);
    let last: readonly PlacedProp[] | undefined;
    for (const { startMs, endMs, props, side } of timeline.phases.slice(step.firstPhase, step.endPhase)) {
      const before = moments.at(-1);
      if (before && last === props) {
        before.endMs = endMs;
        continue;
      }
      last = props;
      const theirs = others > 0 ? placedProps(step.otherSetUp?.setUp ?? [], side === 'right' ? 'right' : 'left') : [];
      const sorts = [
        { props, people: people - others },
        { props: theirs, people: others },
      ];
      const atWall = sorts.reduce((sum, sort) => sum + (usesWall(sort.props) ? sort.people : 0), 0);
      const { stepIndex, stepId } = step;
      moments.push({ startMs, endMs, stepIndex, stepId, wants: wantsOf(sorts), atWall });
    }
  }
  return moments;
}

/** The most of one kind that is needed at once, and in which step. */
export interface KindNeed {
  kind: PropKind;
  /** The most pieces one person has at once. */
  each: number;
  /** The most pieces the whole group has at once, those optional among them. */
  group: number;
  /** The first step that needs that many. */
  stepIndex: number;
}

const piecesOf = (props: readonly PlacedProp[], kind: PropKind): number =>
  props.reduce((sum, prop) => sum + (prop.kind === kind ? prop.count : 0), 0);

/** For each kind, in the order of first use, the most that one person and the whole group need at once. */
export function propNeeds(timeline: Timeline, people: number): KindNeed[] {
  const needs = new Map<PropKind, KindNeed>();
  const each = (kind: PropKind, stepIndex: number): number => {
    const step = timeline.steps[stepIndex];
    if (!step) return 0;
    const phases = timeline.phases.slice(step.firstPhase, step.endPhase);
    // A set-up that nobody of the group has counts for nobody.
    const others = withOtherSetUp(step, people);
    const theirs = step.otherSetUp && others > 0 ? piecesOf(placedProps(step.otherSetUp.setUp, 'left'), kind) : 0;
    const own = others < people ? phases.map(({ props }) => piecesOf(props, kind)) : [];
    return Math.max(theirs, ...own);
  };
  for (const { wants, stepIndex } of momentsOf(timeline, people)) {
    const counts = new Map<PropKind, number>();
    for (const { kind, pieces } of wants) counts.set(kind, (counts.get(kind) ?? 0) + pieces);
    for (const [kind, group] of counts) {
      const need = needs.get(kind) ?? { kind, each: 0, group: 0, stepIndex };
      needs.set(kind, need);
      need.each = Math.max(need.each, each(kind, stepIndex));
      if (group > need.group) Object.assign(need, { group, stepIndex });
    }
  }
  return [...needs.values()];
}
