import { useLocalStorage } from '@vueuse/core';
import { computed, ref, shallowRef } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { PlanOrder, type ListedPlan, type PlanTagsResponse } from '#api';
import { listPlans, listPlanTags, type PlanFilter } from '../../client/plans';
import { latestOnly } from '../../sync/latest';

const PAGE = 40;

/**
 * The plans on the home page: searched, with one tag or the archived ones as the address says, and in an order that
 * this browser remembers.
 */
export function usePlanList() {
  const route = useRoute();
  const router = useRouter();
  const search = ref('');
  const remembered = useLocalStorage<string>('zovrin.plans.sort', 'changed');
  const sort = computed({
    get: (): PlanOrder => PlanOrder.catch('changed').parse(remembered.value),
    set: (order) => (remembered.value = order),
  });
  const tag = computed(() => (typeof route.query.tag === 'string' ? route.query.tag : ''));
  const archived = computed(() => 'archived' in route.query);
  const filter = computed((): PlanFilter => ({
    archived: archived.value,
    sort: sort.value,
    ...(search.value === '' ? {} : { search: search.value }),
    ...(tag.value === '' ? {} : { tag: tag.value }),
  }));
  const isFiltered = computed(() => search.value !== '' || tag.value !== '' || archived.value);
  /** Shows the plans with a tag, or of the archive; the way back is the browser’s own. */
  const show = (what: { tag?: string; archived?: boolean }): void =>
    void router.push({
      path: '/',
      query: { ...(what.tag ? { tag: what.tag } : {}), ...(what.archived ? { archived: null } : {}) },
    });

  const plans = shallowRef<ListedPlan[]>([]);
  const total = ref(0);
  const tags = shallowRef<PlanTagsResponse>({ items: [], archived: 0 });
  /** How many rows of the list were asked for so far; those that cannot be read are not shown. */
  const seen = ref(0);
  const asks = latestOnly();
  async function load(): Promise<void> {
    const isLatest = asks();
    const [found, used] = await Promise.all([listPlans(filter.value, PAGE), listPlanTags()]);
    if (!isLatest()) return;
    [plans.value, total.value, tags.value] = [found.items, found.total, used];
    seen.value = found.items.length + found.unreadable;
  }
  async function showMore(): Promise<void> {
    const found = await listPlans(filter.value, PAGE, seen.value);
    plans.value = [...plans.value, ...found.items];
    seen.value += found.items.length + found.unreadable;
  }
  const hasMore = computed(() => seen.value < total.value);

  return { search, sort, tag, archived, filter, isFiltered, show, plans, total, tags, load, showMore, hasMore };
}
