import { blankPosition, withCustomEntries, type CustomEntry } from '#core/catalogue';
import { measuredLengths, planOfClass, type ClassSegment, type UnknownName } from '#core/exchange';
import type { Ms } from '#core/numbers';
import { planRulesOf } from '#core/settings';
import { compileTimeline } from '#core/timeline';
import type { RunEvent } from '#core/run';
import { figureOf } from '#library';
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

const MAX_SHORT_NAME = 24;
/** Nothing is known of what such a position asks for. */
const NOT_DESCRIBED =
  'Taken from captions and not described yet. Until you say what it asks of the body, no cautions are shown for it.';

/** A position that was only named, as a custom position to be described later; it is drawn sitting until then. */
function customPosition({ name, isSided }: UnknownName): CustomEntry {
  const blank = blankPosition(`own-${newId()}`, figureOf('easy-seat'));
  if (blank.kind !== 'position') return blank;
  const { entry } = blank;
  return {
    ...blank,
    entry: {
      ...entry,
      names: { ...entry.names, english: name },
      short: name.slice(0, MAX_SHORT_NAME).trim(),
      sides: isSided ? 'each' : 'together',
      areas: ['whole body'],
      caution: NOT_DESCRIBED,
    },
  };
}

/**
 * Makes plans and sessions of a class that was read from captions.
 * @param newNames those that become custom positions; under any other new name the plan has the time alone
 */
export function useKeep(newNames: () => readonly UnknownName[]) {
  const library = useLibrary();
  const settings = useSettings();

  function make(segments: readonly ClassSegment[], { title, lengths, even }: ClassPlan) {
    const { approach } = settings.current.usual;
    const own = new Map(newNames().map((one) => [one.id, customPosition(one)]));
    const entries = [...own.values()];
    const named = segments.map((one) => ({ ...one, id: own.get(one.id ?? '')?.entry.id ?? one.id }));
    const all = withCustomEntries(library.all, entries);
    const made = planOfClass(named, { title, approach, library: all, newId, lengths, even });
    return { ...made, entries, plan: { ...made.plan, rules: planRulesOf(settings.current) } };
  }
  let last: { of: string; made: ReturnType<typeof make> } | undefined;
  /** The plan of a class; of the same class the same one, so that after a lost answer it is not saved twice. */
  function planned(segments: readonly ClassSegment[], how: ClassPlan): ReturnType<typeof make> {
    const of = JSON.stringify([segments, how, newNames()]);
    if (last?.of !== of) last = { of, made: make(segments, how) };
    return last.made;
  }
  /** Saves a plan, with the positions that come with it. */
  async function save({ plan, entries }: ReturnType<typeof make>): Promise<StoredPlan> {
    const stored = await createPlan(plan, entries);
    if (entries.length > 0) await library.reload();
    return stored;
  }

  /** Saves the plan of a class. Throws what the client throws. */
  async function savePlan(segments: readonly ClassSegment[], how: ClassPlan): Promise<StoredPlan> {
    return save(planned(segments, how));
  }

  /** What is being kept, so that after a failure it goes on where it stopped and nothing is there twice. */
  interface Keeping {
    of: string;
    made: ReturnType<typeof make>;
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
    const of = JSON.stringify([title, segments, newNames()]);
    if (keeping?.of !== of) {
      const made = planned(segments, { title, lengths: 'announced', even: false });
      keeping = { of, made, runId: newId(), events: [{ id: newId() }, { id: newId() }, { id: newId() }] };
    }
    const { made, runId, events } = keeping;
    const stored = (keeping.stored ??= await save(made));
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
