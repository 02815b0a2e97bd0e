import { addDays, parseISO } from 'date-fns';
import { computed, ref, shallowRef, watch } from 'vue';
import { EVERYTHING, filterPractised, type Practised, type PractisedFilter } from '#core/review';
import { listPractised } from '../../../client/practised';
import { localMoment, today } from '../../../state/days';
import { latestOnly } from '../../../sync/latest';

export const SPANS = [
  { value: '6', label: '6 weeks' },
  { value: '13', label: '3 months' },
  { value: '52', label: 'a year' },
  { value: 'own', label: 'choose days' },
] as const;
export type Span = (typeof SPANS)[number]['value'];
/** The moment a day begins so many days after another, on the clock of this place; NaN where that is no day. */
const startOf = (day: string, daysAfter = 0): number => addDays(parseISO(day), daysAfter).getTime();

/** What was practised in some weeks, and which of it is looked at. */
export function useWeeks() {
  const span = ref<Span>('6');
  const now = today();
  const fromDay = ref(localMoment(addDays(parseISO(now), -42)).slice(0, 10));
  const untilDay = ref(now);
  const all = shallowRef<Practised[]>();
  const trouble = ref('');
  const filter = ref<Omit<PractisedFilter, 'fromMs' | 'untilMs'>>({ ...EVERYTHING });

  /** The days that are asked for, the last one included; what is wrong with them, where something is. */
  const range = computed(() => {
    if (span.value !== 'own') {
      return { fromMs: startOf(now, 1 - Number(span.value) * 7), untilMs: startOf(now, 1), wrong: '' };
    }
    const [fromMs, untilMs] = [startOf(fromDay.value), startOf(untilDay.value, 1)];
    const wrong =
      Number.isNaN(fromMs) || Number.isNaN(untilMs)
        ? 'Both days are needed.'
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
