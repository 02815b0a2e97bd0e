import { measuredLengths, planOfClass, type ClassSegment } from '#core/exchange';
import type { Ms } from '#core/numbers';
import { planRulesOf } from '#core/settings';
import { compileTimeline } from '#core/timeline';
import type { RunEvent } from '#core/run';
import type { StoredPlan } from '#api';
import { newId } from '../../../client/new-id';
import { createPlan } from '../../../client/plans';
import { addEvents, startRun } from '../../../client/runs';
import { useLibrary } from '../../../state/library';
import { useSettings } from '../../../state/settings';

/** How a class becomes a plan. */
export interface ClassPlan {
  title: string;
  lengths: 'led' | 'announced';
  even: boolean;
}

/** Makes plans and sessions of a class that was read from captions. */
export function useKeep() {
  const library = useLibrary();
  const settings = useSettings();

  function planned(segments: readonly ClassSegment[], { title, lengths, even }: ClassPlan) {
    const { approach } = settings.current.usual;
    const made = planOfClass(segments, { title, approach, library: library.all, newId, lengths, even });
    return { ...made, plan: { ...made.plan, rules: planRulesOf(settings.current) } };
  }

  /** Saves the plan of a class. Throws what the client throws. */
  async function savePlan(segments: readonly ClassSegment[], how: ClassPlan): Promise<StoredPlan> {
    return createPlan(planned(segments, how).plan);
  }

  /** What is being kept, so that after a failure it goes on where it stopped and nothing is there twice. */
  interface Keeping {
    of: string;
    made: ReturnType<typeof planned>;
    /** Once it is saved. */
    stored?: StoredPlan;
    runId: string;
    events: Pick<RunEvent, 'id'>[];
  }
  let keeping: Keeping | undefined;

  /**
   * Saves a class as a session that began at a moment, with the plan of what was announced. Gives the id of the
   * session. Throws what the client throws; tried again with the same class, it goes on where it stopped.
   */
  async function saveSession(segments: readonly ClassSegment[], title: string, startedAtMs: Ms): Promise<string> {
    const of = JSON.stringify([title, segments]);
    if (keeping?.of !== of) {
      const made = planned(segments, { title, lengths: 'announced', even: false });
      keeping = { of, made, runId: newId(), events: [{ id: newId() }, { id: newId() }, { id: newId() }] };
    }
    const { made, runId, events } = keeping;
    const stored = (keeping.stored ??= await createPlan(made.plan));
    const run = await startRun({ id: runId, planId: stored.id, planRevision: stored.revision, beganAtMs: startedAtMs });
    const endMs = segments.at(-1)?.endMs ?? 0;
    const lengths = measuredLengths(compileTimeline(run.plan, library.all), made.led, endMs);
    const [started, measured, ended] = events.map(({ id }) => id);
    await addEvents(runId, [
      { id: started ?? newId(), atMs: startedAtMs, kind: 'started' },
      { id: measured ?? newId(), atMs: startedAtMs, kind: 'measured', from: 'captions', lengths },
      { id: ended ?? newId(), atMs: startedAtMs + endMs, kind: 'ended' },
    ]);
    keeping = undefined;
    return runId;
  }

  return { savePlan, saveSession };
}
