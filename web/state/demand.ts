import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { availableIn, groupTooLarge, peopleAtWall, propNeeds, type MetMoment } from '#core/cupboard';
import type { Available, PropKind } from '#core/props';
import { runJob, startThread, type SolverThread } from '../client/solver-thread';
import type { Plan } from '#core/plan';
import { useEditor } from './editor';
import { useLibrary } from './library';
import { usePlaces } from './places';

/** What the open plan needs for its group, compared with the cupboard and the room of its place. */
export const useDemand = defineStore('demand', () => {
  const editor = useEditor();
  const places = usePlaces();
  const library = useLibrary();
  void places.ready();

  const place = computed(() => places.place(editor.plan?.cupboard ?? null));
  const available = computed(() => place.value && availableIn(place.value));
  /** What one person of the group can have of each kind at once. */
  const each = computed((): Available | undefined => {
    const { plan } = editor;
    if (!plan || !available.value) return undefined;
    const kinds = Object.entries(available.value) as [PropKind, number][];
    return Object.fromEntries(kinds.map(([kind, count]) => [kind, Math.floor(count / Math.max(1, plan.groupSize))]));
  });
  const needs = computed(() => {
    const { plan, timeline } = editor;
    return plan && timeline ? propNeeds(timeline, plan.groupSize) : [];
  });
  /** How many people have room at the wall; null if that is not known. */
  const atWall = computed(() => (place.value ? peopleAtWall(place.value) : null));

  /** How the place meets the needs of a version of the plan, by the ids of its steps. */
  const met = shallowRef<{ plan: Plan; stock: Available; byStep: ReadonlyMap<string, MetMoment[]> }>();
  const trouble = ref('');
  let thread: SolverThread | undefined;
  let isRunning = false;
  /** Works it out in a thread, one version after the other; versions that have been replaced meanwhile are skipped. */
  async function meet(): Promise<void> {
    if (isRunning) return;
    isRunning = true;
    for (let next = outdated(); next; next = outdated()) {
      const { plan, stock } = next;
      try {
        thread ??= startThread();
        const answer = await runJob(thread, 'props', plan, library.all, { available: stock }, () => undefined);
        const byStep = new Map(plan.steps.map(({ id }): [string, MetMoment[]] => [id, []]));
        for (const moment of answer.moments) byStep.get(plan.steps[moment.stepIndex]?.id ?? '')?.push(moment);
        met.value = { plan, stock, byStep };
        trouble.value = '';
      } catch {
        thread?.stop();
        thread = undefined;
        trouble.value =
          'How far the props go could not be worked out. The plan is as it was; reload the page to try again.';
        break;
      }
    }
    isRunning = false;
  }
  function outdated(): { plan: Plan; stock: Available } | undefined {
    const { plan } = editor;
    const stock = available.value;
    if (!plan || !stock || (met.value?.plan === plan && met.value.stock === stock)) return undefined;
    return { plan, stock };
  }
  watch(
    [() => editor.plan, available],
    () => {
      // Also while another plan is opened, when there is no stock: a copy has steps of the same ids, and must not show these.
      if (met.value?.stock !== available.value) met.value = undefined;
      void meet();
    },
    { immediate: true },
  );

  /** Whether the needs have been met for the plan as it is now: until then nothing is said to be enough. */
  const isMet = computed(() => met.value !== undefined && met.value.plan === editor.plan);
  /** The moments of a step; those of an earlier version until the present one has been worked out. */
  const momentsOfStep = (index: number): readonly MetMoment[] =>
    met.value?.byStep.get(editor.plan?.steps[index]?.id ?? '') ?? [];
  const tooMany = computed(() => (place.value && editor.plan ? groupTooLarge(place.value, editor.plan.groupSize) : ''));

  return { place, available, each, needs, atWall, isMet, trouble, momentsOfStep, tooMany };
});
