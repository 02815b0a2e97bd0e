<script setup lang="ts">
import { computed } from 'vue';
import { clockOfMs } from '#core/time';
import type { Block } from '#core/timeline';
import type { ListedPlan } from '#api';
import ActionMenu from '../../ui/menus/ActionMenu.vue';
import { dayOf } from '../../ui/dates';
import RibbonThumb from '../../widgets/ribbon/RibbonThumb.vue';
import { balanceInWords, classLength, groupAndApproach, spareInWords } from '../../widgets/session/words';

const { stored, pxPerMs } = defineProps<{ stored: ListedPlan; pxPerMs: number }>();
const emit = defineEmits<{
  copy: [];
  today: [];
  course: [];
  saveFile: [];
  tags: [];
  showTag: [tag: string];
  archive: [];
  remove: [];
}>();

const summary = computed(() => stored.summary);
const balance = computed(() => balanceInWords(summary.value));
const uneven = computed(() => summary.value.totals.leftMs !== summary.value.totals.rightMs);
const taught = computed(() =>
  stored.lastTaughtAt ? `taught ${dayOf(new Date(stored.lastTaughtAt).getTime())}` : 'not yet taught',
);
const items = computed(() => [
  [
    { label: 'Copy', command: () => emit('copy') },
    { label: 'Copy fitted to today’s time', command: () => emit('today') },
    { label: 'Make a course of it', command: () => emit('course') },
    { label: 'Download plan', command: () => emit('saveFile') },
  ],
  [
    { label: 'Edit tags', command: () => emit('tags') },
    { label: summary.value.archived ? 'Unarchive' : 'Archive', command: () => emit('archive') },
  ],
  [{ label: 'Delete', command: () => emit('remove') }],
]);
</script>

<template>
  <li>
    <div class="plan">
      <RouterLink :to="`/plans/${stored.id}`" class="row">
        <span class="title">
          <strong>{{ summary.title }}</strong>
          <span class="small quiet">{{ groupAndApproach(summary) }}</span>
        </span>
        <RibbonThumb
          class="thumb"
          :ribbon="summary.ribbon as Block[]"
          :totals="summary.totals"
          :px-per-ms="pxPerMs"
          :width="336"
        />
        <span>
          <strong>{{ clockOfMs(summary.totals.totalMs) }}</strong>
          <span class="small" :class="summary.totals.spareMs < 0 ? 'caution strong' : 'quiet'"
            >of {{ classLength(summary.totals.targetMs) }}, {{ spareInWords(summary) }}</span
          >
        </span>
        <span class="when">
          <span :class="{ strong: uneven }">{{ balance || ' ' }}</span>
          <span class="small quiet">{{ taught }}</span>
        </span>
      </RouterLink>
      <p v-if="summary.tags.length > 0" class="tags small">
        <button
          v-for="tag in summary.tags"
          :key="tag"
          type="button"
          class="plain-button tag"
          :aria-label="`Show plans with the tag ${tag}`"
          @click="emit('showTag', tag)"
        >
          {{ tag }}
        </button>
      </p>
    </div>
    <ActionMenu :label="`More for ${summary.title}`" :groups="items" />
  </li>
</template>

<style scoped>
li {
  display: flex;
  align-items: center;
  border-bottom: 1px solid var(--line);
}
.plan {
  flex: 1;
  min-width: 0;
}
.tags {
  display: flex;
  flex-wrap: wrap;
  gap: 0 4px;
  margin-top: -10px;
  padding-bottom: 4px;
}
.tag {
  overflow-wrap: anywhere;
  text-align: left;
  min-height: 24px;
  padding: 0 6px;
  border-radius: 4px;
  color: var(--ink-2);
}
.tag:first-child {
  margin-left: -6px;
}
.tag:hover {
  background: var(--well);
  color: var(--ink);
}
.row {
  display: grid;
  grid-template-columns: minmax(120px, 190px) minmax(0, 336px) 128px minmax(146px, 1fr);
  gap: 14px;
  align-items: center;
  min-width: 0;
  padding: 5px 0;
  text-decoration: none;
}
.row:hover strong {
  text-decoration: underline;
  text-underline-offset: 3px;
}
.row > span {
  display: flex;
  flex-direction: column;
  min-width: 0;
}
strong {
  font-weight: 600;
}
.title strong,
.title span {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.thumb {
  max-width: 100%;
}
@media (width < 760px) {
  .row {
    grid-template-columns: minmax(0, 1fr) 128px;
  }
  .thumb {
    grid-row: 2;
    grid-column: 1 / -1;
  }
  .when {
    display: none !important;
  }
}
</style>
