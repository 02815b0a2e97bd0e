<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { useEventListener, watchDebounced } from '@vueuse/core';
import { computed, defineAsyncComponent, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import type { PlanEdit, PlanFile } from '#core/plan';
import type { ListedPlan, ListedRun } from '#api';
import { planClient } from '../../client/documents';
import { planAfter } from '../../client/plans';
import { listRuns } from '../../client/runs';
import RecentlyTaught from './RecentlyTaught.vue';
import { localMoment } from '../../state/days';
import NextUp from './NextUp.vue';
import PlanRow from './PlanRow.vue';
import { usePlanList } from './use-plan-list';
import { latestOnly } from '../../sync/latest';
import { belongsToControl, mayBeShortcut } from '../../ui/keys';
import { whenIdle } from '../../ui/when-idle';
import { onceOpened } from '../../ui/once-opened';
import { useUndoToast } from '../../ui/use-undo-toast';
import { useDeletedToast } from '../../widgets/documents/use-deleted-toast';

const WelcomeView = defineAsyncComponent(() => import('./WelcomeView.vue'));
// The list first, then what it is put in order with.
const PlanFilters = defineAsyncComponent(() => whenIdle().then(() => import('./PlanFilters.vue')));
const NewPlanDialog = defineAsyncComponent(() => import('./NewPlanDialog.vue'));
const TagsDialog = defineAsyncComponent(() => import('./TagsDialog.vue'));
const TodayDialog = defineAsyncComponent(() => import('./TodayDialog.vue'));

/** What is done with a plan comes with its first use. */
const actions = () => import('./plan-actions');

const router = useRouter();
const deleted = useDeletedToast();
const undoable = useUndoToast();
const list = usePlanList();
const { search, sort, tag, archived, plans, tags } = list;
const runs = shallowRef<ListedRun[]>([]);
/** The plan that is taught next. */
const next = shallowRef<ListedPlan>();
const trouble = ref('');
const loaded = ref(false);
const making = ref(false);
const everMade = onceOpened(making);
/** The plan being fitted to today's time, while the dialog is open. */
const today = ref(false);
const everToday = onceOpened(today);
const todaysPlan = ref<string>();
function askToday(planId?: string): void {
  [todaysPlan.value, today.value] = [planId, true];
}

/** One scale for all thumbnails, from the longest class on the page. */
const pxPerMs = computed(() => {
  const lengths = [...plans.value, ...runs.value].flatMap(({ summary: { totals } }) => [
    totals.totalMs,
    totals.targetMs,
  ]);
  return 330 / Math.max(60_000 * 30, ...lengths);
});
/** A class that began less than two hours ago is still the next. */
const STILL_NEXT_MS = 7_200_000;

/** Nothing was made here yet: what this is stands in place of empty lists. */
const isNew = computed(
  () =>
    loaded.value &&
    !trouble.value &&
    !list.isFiltered.value &&
    list.total.value + tags.value.archived + runs.value.length === 0,
);
const asks = latestOnly();
async function load(): Promise<void> {
  const isLatest = asks();
  try {
    const from = localMoment(new Date(Date.now() - STILL_NEXT_MS));
    const [lately, first] = await Promise.all([listRuns(4), planAfter(from), list.load()]);
    if (!isLatest()) return;
    next.value = first;
    [runs.value, trouble.value] = [lately.items, ''];
  } catch (error) {
    if (!isLatest()) return;
    trouble.value = (error as Error).message;
  }
  loaded.value = true;
}
/** Says what went wrong where something does. */
async function attempt(work: () => Promise<unknown>): Promise<void> {
  try {
    await work();
  } catch (error) {
    trouble.value = (error as Error).message;
  }
}
const open = (id: string, toFit = false) => router.push(`/plans/${id}${toFit ? '/fit' : ''}`);
const make = (file: PlanFile, toFit = false): Promise<void> =>
  attempt(async () => open(await (await actions()).makePlan(file), toFit));
const copy = (listed: ListedPlan): Promise<void> => attempt(async () => open(await (await actions()).copyPlan(listed)));
const download = (listed: ListedPlan): Promise<void> => attempt(async () => (await actions()).downloadPlan(listed));
const change = (listed: ListedPlan, patch: Extract<PlanEdit, { kind: 'setDetails' }>['patch']): Promise<void> =>
  attempt(async () => {
    await (await actions()).changePlan(listed, { kind: 'setDetails', patch });
    await load();
  });
async function archive(listed: ListedPlan): Promise<void> {
  const { title, archived: was } = listed.summary;
  await change(listed, { archived: !was });
  if (trouble.value) return;
  undoable(`“${title}” is ${was ? 'out of' : 'in'} the archive`, () => change(listed, { archived: was }));
}
/** The plan whose tags are being changed. */
const tagged = shallowRef<ListedPlan>();
const tagging = ref(false);
const everTagged = onceOpened(tagging);
function askTags(listed: ListedPlan): void {
  [tagged.value, tagging.value] = [listed, true];
}
async function remove({ id, summary }: ListedPlan): Promise<void> {
  await attempt(async () => {
    await planClient.remove(id);
    deleted(`“${summary.title}”`, { kind: 'plan', id }, load);
    await load();
  });
}
/** A new plan is asked for by an address, so that it can be from anywhere. */
const route = useRoute();
watch(
  () => route.query.new === 'plan',
  (isWanted) => {
    if (!isWanted) return;
    making.value = true;
    void router.replace('/');
  },
  { immediate: true },
);
useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  const isFree = !event.defaultPrevented && !event.ctrlKey && !event.metaKey && !event.altKey;
  if (event.key !== 'n' || !isFree || belongsToControl(event.target) || !mayBeShortcut(event) || making.value) return;
  event.preventDefault();
  making.value = true;
});
watchDebounced(search, load, { debounce: 180 });
watch([sort, tag, archived], load);
void load();
</script>

<template>
  <main>
    <WelcomeView v-if="isNew" @create="making = true" @loaded="load" />
    <NextUp v-if="next" :listed="next" />
    <div v-if="!isNew" class="columns">
      <section aria-labelledby="plans-title">
        <header>
          <h1 id="plans-title">Plans</h1>
          <InputText
            v-model="search"
            type="search"
            placeholder="Search plans"
            aria-label="Search plans"
            size="small"
            class="search"
          />
          <Button v-if="plans.length > 0" label="Fit a plan to today’s time" outlined @click="askToday()" />
          <Button label="Import" outlined @click="router.push('/import')" />
          <Button label="New plan" @click="making = true" />
        </header>
        <div v-if="plans.length > 0 || list.isFiltered.value" class="filters">
          <PlanFilters v-model:sort="sort" :tags="tags" :tag="tag" :archived="archived" @show="list.show" />
        </div>
        <p v-if="trouble" class="trouble caution" role="alert">
          {{ trouble }} <button type="button" class="link-button" @click="load">Try again</button>
        </p>
        <ul v-if="plans.length > 0">
          <PlanRow
            v-for="stored in plans"
            :key="stored.id"
            :stored="stored"
            :px-per-ms="pxPerMs"
            @copy="copy(stored)"
            @today="askToday(stored.id)"
            @course="router.push({ path: '/courses', query: { plan: stored.id } })"
            @save-file="download(stored)"
            @tags="askTags(stored)"
            @show-tag="(one) => list.show({ tag: one })"
            @archive="archive(stored)"
            @remove="remove(stored)"
          />
        </ul>
        <p v-else-if="loaded && !trouble && archived && !search" class="empty">
          No plan is archived. An archived plan stays as it is, out of the way of the others.
        </p>
        <p v-else-if="loaded && !trouble && search" class="empty">
          No {{ archived ? 'archived plan' : 'plan' }} has “{{ search }}” in its title, group, focus or tags.
        </p>
        <p v-else-if="loaded && !trouble && tag" class="empty">No plan has the tag “{{ tag }}”.</p>
        <p v-else-if="loaded && !trouble && tags.archived > 0" class="empty">All your plans are archived.</p>
        <p v-else-if="!loaded" class="empty quiet" role="status">Loading…</p>
        <footer>
          <button v-if="list.hasMore.value" type="button" class="link-button" @click="attempt(list.showMore)">
            Show more of {{ list.total.value }}
          </button>
          <button
            v-if="archived || tag || (search && tags.archived > 0)"
            type="button"
            class="link-button"
            @click="list.show(search && !archived ? { archived: true } : {})"
          >
            {{ search && !archived ? 'Search the archived plans' : 'Show all plans' }}
          </button>
          <RouterLink to="/bin" class="link-button">Bin</RouterLink>
          <RouterLink to="/outbox" class="link-button">Outbox</RouterLink>
        </footer>
      </section>
      <RecentlyTaught :runs="runs" :loading="!loaded" :px-per-ms="pxPerMs" />
    </div>
    <NewPlanDialog v-if="everMade" v-model:visible="making" @make="make" />
    <TagsDialog
      v-if="everTagged && tagged"
      v-model:visible="tagging"
      :title="tagged.summary.title"
      :tags="tagged.summary.tags"
      :known="tags.items.map((one) => one.tag)"
      @save="(next) => tagged && change(tagged, { tags: next })"
    />
    <TodayDialog
      v-if="everToday"
      v-model:visible="today"
      :plans="plans"
      :first="todaysPlan ?? next?.id"
      @make="(plan, toFit) => make({ plan, entries: [] }, toFit)"
    />
  </main>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 362px;
  gap: 56px;
  padding: 18px 32px 32px;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
  min-height: 44px;
  padding-bottom: 8px;
  border-bottom: 1px solid var(--line-strong);
}
h1 {
  flex: 1;
  font-size: 22px;
  line-height: 26px;
}
.search {
  width: 200px;
}
.filters {
  min-height: 46px;
}
.trouble,
.empty {
  padding: 24px 0;
}
.empty p {
  margin-bottom: 16px;
}
footer {
  display: flex;
  justify-content: space-between;
  padding-top: 8px;
}
@media (width < 1060px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
    gap: 24px;
  }
}
@media (width < 640px) {
  .columns {
    padding: 12px;
  }
  h1,
  .search {
    flex: 1 0 100%;
    width: 100%;
  }
}
</style>
