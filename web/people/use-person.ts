import { computed, onScopeDispose, ref, shallowRef } from 'vue';
import { BreathMeasure } from '#core/breath';
import { fieldIssues } from '#core/document';
import { Person } from '#core/people';
import type { StoredPerson } from '#api';
import { personConflictOf, readPersonById, savePerson } from '../client/people';
import { kept } from '../stores/browser';

type Edit = (person: Person) => Person;
const MOST_UNDO = 50;

/** The fields two versions of a person differ in, as the first has them. */
const changedFields = (was: Person, now: Person): Partial<Person> =>
  Object.fromEntries(
    Object.entries(was).filter(([key, value]) => JSON.stringify(value) !== JSON.stringify(now[key as keyof Person])),
  );

/**
 * One person, opened. Every change is a small edit that is sent at once; where the person was changed elsewhere meanwhile,
 * the edit is made again on what is there now, so that neither is lost. A measuring is kept in this browser until the
 * server has it.
 */
export function usePerson(id: string) {
  const stored = shallowRef<StoredPerson>();
  const trouble = ref('');
  const missing = ref(false);
  /** What the changed fields held before each change made here, the newest last. */
  const before = shallowRef<readonly Partial<Person>[]>([]);
  const pendingKey = `zovrin.measured.${id}`;

  async function load(): Promise<void> {
    try {
      stored.value = await readPersonById(id);
      trouble.value = '';
      await sendPending();
    } catch (error) {
      missing.value = 'status' in (error as object) && (error as { status: number }).status === 404;
      trouble.value = (error as Error).message;
    }
  }

  /** Makes an edit. Gives what is wrong with it, or what went wrong. */
  async function change(edit: Edit): Promise<string | undefined> {
    for (let tries = 0; tries < 3; tries++) {
      const before = stored.value;
      if (!before) return 'This person is not here yet.';
      const parsed = Person.safeParse(edit(before.document));
      if (!parsed.success) return fieldIssues(parsed.error)[0]?.reason ?? 'This does not fit.';
      try {
        stored.value = await savePerson(id, before.revision, parsed.data);
        return undefined;
      } catch (error) {
        const conflict = personConflictOf(error);
        if (!conflict) return (error as Error).message;
        stored.value = conflict.current;
      }
    }
    return 'This person is being changed elsewhere. Try again.';
  }

  const withMeasure =
    (measure: BreathMeasure): Edit =>
    (person) =>
      person.breaths.some(({ id: known }) => known === measure.id)
        ? person
        : { ...person, breaths: [...person.breaths, measure] };

  async function addMeasure(measure: BreathMeasure): Promise<string | undefined> {
    kept.write(pendingKey, JSON.stringify(measure));
    const refused = await change(withMeasure(measure));
    if (refused === undefined) kept.remove(pendingKey);
    return refused;
  }
  /** Sends a measuring that was left behind: by a lost connection, a closed tab. */
  async function sendPending(): Promise<void> {
    const text = kept.read(pendingKey);
    if (text === null) return;
    const parsed = BreathMeasure.safeParse(JSON.parse(text));
    if (!parsed.success) kept.remove(pendingKey);
    else await addMeasure(parsed.data);
  }

  const channel = new BroadcastChannel('zovrin.people');
  channel.onmessage = () => void load();
  onScopeDispose(() => channel.close());

  void load();
  return {
    stored,
    trouble,
    missing,
    load,
    canUndo: computed(() => before.value.length > 0),
    change: async (edit: Edit) => {
      const was = stored.value?.document;
      const refused = await change(edit);
      if (refused !== undefined) return refused;
      const now = stored.value?.document;
      if (was && now) before.value = [...before.value, changedFields(was, now)].slice(-MOST_UNDO);
      channel.postMessage('changed');
      return undefined;
    },
    /** Takes the last change made here back; what was changed elsewhere meanwhile stays. */
    async undo(): Promise<string | undefined> {
      const was = before.value.at(-1);
      if (!was) return undefined;
      const refused = await change((person) => ({ ...person, ...was }));
      if (refused === undefined) {
        before.value = before.value.slice(0, -1);
        channel.postMessage('changed');
      }
      return refused;
    },
    addMeasure,
  };
}
