import { defineStore } from 'pinia';
import { computed } from 'vue';
import { availableIn, groupTooLarge, peopleAtWall, propDemand, type MetMoment } from '#core/cupboard';
import type { Available, PropKind, SetUp } from '#core/props';
import { useEditor } from './editor';
import { usePlaces } from './places';

/** What the plan on the desk needs for its group, compared with the cupboard and the room of its place. */
export const useDemand = defineStore('demand', () => {
  const editor = useEditor();
  const places = usePlaces();
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
  const demand = computed(() => {
    const { plan, timeline } = editor;
    return plan && timeline && propDemand(timeline, plan.groupSize, available.value ?? {});
  });
  const atWall = computed(() => (place.value ? peopleAtWall(place.value) : Infinity));
  const canUseWall = (setUp: SetUp, people: number): boolean =>
    people <= atWall.value || !setUp.some(({ kind }) => kind === 'wall');

  const momentsOfStep = (index: number): MetMoment[] =>
    demand.value?.moments.filter(({ stepIndex }) => stepIndex === index) ?? [];
  const tooMany = computed(() => (place.value && editor.plan ? groupTooLarge(place.value, editor.plan.groupSize) : ''));

  return { place, available, each, demand, canUseWall, momentsOfStep, tooMany };
});
