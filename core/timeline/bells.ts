import type { Ms } from '#core/numbers';
import { momentMs } from './moment';
import type { TimelineRules } from './rules';
import type { Bell, BellKind, Phase } from './types';

/** A phase with the length it has: that of the plan, or what a session has made of it. */
export interface Stretch {
  phase: Phase;
  ms: Ms;
}

/** How long before its end a hold is announced to end, and from which length on that is of use. */
const SOON_MS = 15_000;
const MIN_FOR_SOON_MS = 60_000;

/**
 * Whether two phases belong to what a teacher thinks of as one thing: a side of a hold with all its stages, a side of a
 * breath practice.
 */
export function sameGroup(a: Phase, b: Phase): boolean {
  if (a === b) return true;
  if (a.stepIndex !== b.stepIndex) return false;
  if (a.kind === 'hold') return b.kind === 'hold' && a.turn === b.turn;
  return 'round' in a && 'round' in b && a.turn === b.turn;
}

const turnOf = (phase: Phase): number | undefined =>
  phase.kind === 'hold' || 'round' in phase ? phase.turn : undefined;

/** Which sides of the same step the plan has before and after a side. `phases` are those of the whole plan. */
function otherSides(
  phases: readonly Phase[],
  { index, stepIndex }: Phase,
  turn: number,
): [before: boolean, after: boolean] {
  const has = (by: 1 | -1): boolean => {
    for (let i = index + by; ; i += by) {
      const phase = phases[i];
      if (phase?.stepIndex !== stepIndex) return false;
      const other = turnOf(phase);
      if (other !== undefined && other !== turn) return true;
    }
  };
  return [has(-1), has(1)];
}

/** How long a practice is without the quiet breathing that follows it. */
function practiceMs(group: readonly Stretch[]): Ms {
  const last = group.findLastIndex(({ phase }) => phase.kind !== 'quiet');
  return group.slice(0, last + 1).reduce((sum, { ms }) => sum + ms, 0);
}

/**
 * The bells of one group of phases that begins at `startMs`: the one place that says when a bell rings, on the plan and
 * while it is led. `phases` are those of the whole plan; of a group that is `open` nobody knows the end.
 */
export function bellsOfGroup(
  phases: readonly Phase[],
  group: readonly Stretch[],
  startMs: Ms,
  rules: TimelineRules,
  open = false,
): Bell[] {
  const phase = group[0]?.phase;
  if (!phase) return [];
  const bells: Bell[] = [];
  const ring = (kind: BellKind, atMs: Ms): void => {
    if (rules.bells[kind]) bells.push({ atMs, kind, stepIndex: phase.stepIndex });
  };
  const lengthMs = group.reduce((sum, { ms }) => sum + ms, 0);
  if (phase.kind === 'hold') {
    const [, more] = otherSides(phases, phase, phase.turn);
    ring('start', startMs);
    ring('half', startMs + momentMs({ kind: 'half' }, lengthMs));
    if (!open && lengthMs >= MIN_FOR_SOON_MS) ring('soon', startMs + lengthMs - SOON_MS);
    if (!open) ring(more ? 'switch' : 'end', startMs + lengthMs);
    let atMs = startMs;
    for (const { phase: stage, ms } of group) {
      if (stage.kind === 'hold' && stage.stage && stage.stage.moves.length > 0) ring('props', atMs);
      atMs += ms;
    }
  } else if ('round' in phase) {
    const [before, more] = otherSides(phases, phase, phase.turn);
    if (!before) ring('start', startMs);
    if (!open) ring(more ? 'switch' : 'end', startMs + practiceMs(group));
  } else if (phase.kind === 'rest') {
    if (!open) ring('end', startMs + lengthMs);
  } else if (phase.kind === 'setup' && phase.moves.length > 0) ring('props', startMs);
  return bells;
}

/** Kinds that ring bells, besides breaths. */
const RINGS: ReadonlySet<Phase['kind']> = new Set(['hold', 'rest', 'setup']);

/** The bells of a plan in order, from its phases. */
export function plannedBells(phases: readonly Phase[], rules: TimelineRules): Bell[] {
  const bells: Bell[] = [];
  let group: Stretch[] = [];
  const ring = (): void => {
    const [first] = group;
    if (first && (RINGS.has(first.phase.kind) || 'round' in first.phase))
      for (const bell of bellsOfGroup(phases, group, first.phase.startMs, rules)) bells.push(bell);
  };
  for (const phase of phases) {
    const [first] = group;
    if (first && !sameGroup(first.phase, phase)) {
      ring();
      group = [];
    }
    group.push({ phase, ms: phase.endMs - phase.startMs });
  }
  ring();
  return bells.sort((a, b) => a.atMs - b.atMs);
}
