import { computed, ref, shallowRef, watch } from 'vue';
import { EVERYTHING, filterPractised, type Practised, type PractisedFilter } from '#core/review';
import { listPractised } from '../../../client/practised';
import { localMoment } from '../../../state/days';
import { latestOnly } from '../../../sync/latest';

export const SPANS = [
  { value: '6', label: '6 weeks' },
  { value: '13', label: '3 months' },
  { value: '52', label: 'a year' },
  { value: 'own', label: 'from … to' },
] as const;
export type Span = (typeof SPANS)[number]['value'];
/** The moment a day begins so many days after another, on the clock of this place; NaN where that is no day. */
function startOf(day: string, daysAfter = 0): number {
  const start = new Date(`${day}T00:00`);
  // Days on which the clocks change are longer or shorter than others.
  return start.setDate(start.getDate() + daysAfter);
}

/** What was practised in some weeks, and which of it is looked at. */
export function useWeeks() {
  const span = ref<Span>('6');
  const today = localMoment(new Date()).slice(0, 10);
  const fromDay = ref(localMoment(new Date(startOf(today, -42))).slice(0, 10));
  const untilDay = ref(today);
  const all = shallowRef<Practised[]>();
  const trouble = ref('');
  const filter = ref<Omit<PractisedFilter, 'fromMs' | 'untilMs'>>({ ...EVERYTHING });

  /** The days that are asked for, the last one included; what is wrong with them, where something is. */
  const range = computed(() => {
    if (span.value !== 'own') {
      return { fromMs: startOf(today, 1 - Number(span.value) * 7), untilMs: startOf(today, 1), wrong: '' };
    }
    const [fromMs, untilMs] = [startOf(fromDay.value), startOf(untilDay.value, 1)];
    const wrong =
      Number.isNaN(fromMs) || Number.isNaN(untilMs)
        ? 'Say both days.'
        : untilMs <= fromMs
          ? 'The last day comes before the first.'
          : '';
    return { fromMs, untilMs, wrong };
  });

  const asks = latestOnly();
  async function load(): Promise<void> {
    const { fromMs, untilMs, wrong } = range.value;
    if (wrong) return;
    const isLatest = asks();
    try {
      const found = await listPractised(Math.max(0, fromMs), untilMs);
      if (isLatest()) [all.value, trouble.value] = [found, ''];
    } catch (error) {
      if (isLatest()) trouble.value = (error as Error).message;
    }
  }
  watch(range, () => void load(), { immediate: true });

  const practised = computed(() =>
    filterPractised(all.value ?? [], { ...filter.value, fromMs: range.value.fromMs, untilMs: range.value.untilMs }),
  );
  const known = <T>(of: (one: Practised) => readonly (readonly [T, string])[]): { value: T; label: string }[] => {
    const found = new Map((all.value ?? []).flatMap((one) => of(one)));
    return [...found].map(([value, label]) => ({ value, label })).sort((a, b) => a.label.localeCompare(b.label));
  };
  const plans = computed(() => known(({ planId, title }) => (planId === null ? [] : [[planId, title]])));
  const groups = computed(() => known(({ group }) => (group === '' ? [] : [[group, group]])));
  const positions = computed(() => known(({ holds }) => holds.map(({ position, name }) => [position, name] as const)));
  const people = computed(() => [...new Set((all.value ?? []).flatMap((one) => one.people))]);

  return { span, fromDay, untilDay, range, all, trouble, filter, load, practised, plans, groups, positions, people };
}
