import { computed } from 'vue';
import { saidBetween, saidDuring } from '#core/script';
import { useLibrary } from '../../state/library';
import type { SessionView } from './use-session';

/** How long a prompt stands on the stage once it is due, and how long before that it is announced. */
const PROMPT_FOR_MS = 14_000;
const PROMPT_AHEAD_MS = 120_000;
/** How long the way into another position of the same hold is shown. */
const BETWEEN_MS = 30_000;

/**
 * What the teacher says at this moment of a session: the way in or out, how a breath is taught, the note on the step,
 * prompts now and next.
 */
export function useStageWords(session: SessionView) {
  const library = useLibrary();
  const { state } = session;

  /** How to get in or to come out, while the class does. */
  const way = computed(() => {
    const { phase, status, intoMs } = state.value;
    if (!phase || status === 'over') return [];
    const between = intoMs < BETWEEN_MS ? saidBetween(session.plan, phase, library.all) : [];
    return [...saidDuring(session.plan, phase, library.all), ...between];
  });

  /** The teacher's note on the step. */
  const note = computed(() => {
    const { phase, status } = state.value;
    return phase && status !== 'over' ? (session.plan.steps[phase.stepIndex]?.note.trim() ?? '') : '';
  });

  const prompts = (fromMs: number, horizonMs: number) =>
    session.cuesFrom(fromMs, horizonMs).filter((cue) => cue.kind === 'prompt');
  /** What is said now: everything of the latest moment. */
  const summary = computed(() => {
    const cues = prompts(session.now.value - PROMPT_FOR_MS, PROMPT_FOR_MS);
    return cues.filter(({ atMs }) => atMs === cues.at(-1)?.atMs);
  });
  /** What is said next in this hold: everything of that moment. */
  const ahead = computed(() => {
    const cues = prompts(session.now.value, Math.min(PROMPT_AHEAD_MS, state.value.groupMoreMs));
    return cues.filter(({ atMs }) => atMs === cues[0]?.atMs);
  });

  return { way, note, summary, ahead };
}
