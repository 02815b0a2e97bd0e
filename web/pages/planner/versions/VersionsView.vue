<script setup lang="ts">
import Button from 'primevue/button';
import { computed, nextTick, ref, shallowRef, useTemplateRef, watch } from 'vue';
import { restoreVersion, type Plan } from '#core/plan';
import { clockOfMs } from '#core/time';
import { compileTimeline } from '#core/timeline';
import type { PlanVersion } from '#api';
import { listVersions, readVersion } from '../../../client/plans';
import BackLink from '../../../ui/BackLink.vue';
import { clockTime, longDayOf } from '../../../ui/dates';
import { ribbonDomainMs } from '../../../widgets/ribbon/layout';
import SessionRibbon from '../../../widgets/ribbon/SessionRibbon.vue';
import UndoButtons from '../UndoButtons.vue';
import { useUndoKeys } from '../../../ui/use-undo-keys';
import { useEditor } from '../../../state/editor';
import { latestOnly } from '../../../sync/latest';
import { useLibrary } from '../../../state/library';
import { changeInWords } from '../../../widgets/plans/change-words';
import { usePageTitle } from '../../../ui/page-title';

/**
 * The earlier versions of a plan: when, what changed, how it looked beside how it is now, and the way back to one of
 * them.
 */
const editor = useEditor();
const library = useLibrary();
useUndoKeys(
  () => editor.undo(),
  () => editor.redo(),
);
const versions = shallowRef<readonly PlanVersion[]>();
const unreadable = ref(0);
const trouble = ref('');
const message = ref('');
const chosen = ref(0);
const document = shallowRef<Plan>();
const asks = latestOnly();
const reads = latestOnly();

async function load(): Promise<void> {
  const isLatest = asks();
  try {
    // The present state is a version too.
    await editor.save();
    const found = await listVersions(editor.id);
    if (!isLatest()) return;
    [versions.value, unreadable.value, trouble.value] = [found.items, found.unreadable, ''];
    if (!found.items.some(({ revision }) => revision === chosen.value))
      chosen.value = (found.items[1] ?? found.items[0])?.revision ?? 0;
  } catch (error) {
    if (isLatest()) trouble.value = (error as Error).message;
  }
}
watch(
  () => editor.revision,
  () => void load(),
  { immediate: true },
);
watch(chosen, async (revision) => {
  const isLatest = reads();
  document.value = undefined;
  if (revision === 0) return;
  try {
    const found = await readVersion(editor.id, revision);
    if (isLatest()) [document.value, trouble.value] = [found.document, ''];
  } catch (error) {
    if (isLatest()) trouble.value = (error as Error).message;
  }
});

const version = computed(() => versions.value?.find(({ revision }) => revision === chosen.value));
const isNow = computed(
  () => document.value !== undefined && JSON.stringify(document.value) === JSON.stringify(editor.plan),
);
const shown = computed(() => {
  const [plan, now, timeline] = [document.value, editor.plan, editor.timeline];
  if (!plan || !now || !timeline) return undefined;
  const then = compileTimeline(plan, library.all);
  const untilMs = Math.max(ribbonDomainMs(then), ribbonDomainMs(timeline));
  return { plan, then, now, timeline, untilMs };
});
const when = ({ savedAt }: PlanVersion): string => {
  const ms = Date.parse(savedAt);
  return `${longDayOf(ms)}, ${clockTime(ms)}`;
};
const summary = ({ changes, isFirst }: PlanVersion): string => {
  if (!changes) return isFirst ? 'Created' : 'The earliest version';
  const [first] = changes;
  if (!first) return 'The same as the version before';
  const more = changes.length - 1;
  return `${changeInWords(first)}${more > 0 ? ` and ${more} more` : ''}`;
};

function restore(): void {
  if (!document.value || !version.value) return;
  const [issue] = editor.edit(restoreVersion(document.value));
  editor.seal();
  message.value = issue
    ? `It cannot be restored: ${issue.reason}`
    : `The plan is as it was on ${when(version.value)}. Undo brings back the plan as it was just now.`;
}

const list = useTemplateRef<HTMLElement>('list');
function walk(event: KeyboardEvent): void {
  const all = versions.value ?? [];
  const at = all.findIndex(({ revision }) => revision === chosen.value);
  const to = { ArrowDown: at + 1, ArrowUp: at - 1, Home: 0, End: all.length - 1 }[event.key];
  if (to === undefined) return;
  event.preventDefault();
  chosen.value = all[Math.max(0, Math.min(all.length - 1, to))]?.revision ?? 0;
  void nextTick(() => list.value?.querySelector<HTMLElement>('[aria-selected="true"]')?.focus());
}
usePageTitle(() => ['Versions', editor.plan?.title]);
</script>

<template>
  <main v-if="editor.plan" class="room">
    <header>
      <BackLink class="back" :to="`/plans/${editor.id}`" :label="editor.plan.title" />
      <h1>Versions</h1>
      <span class="end">
        <UndoButtons />
      </span>
    </header>
    <p v-if="trouble" class="caution" role="alert">
      {{ trouble }} <button type="button" class="link-button" @click="load">Try again</button>
    </p>
    <p v-if="unreadable > 0" class="caution" role="status">
      {{ unreadable }} earlier {{ unreadable === 1 ? 'version' : 'versions' }} cannot be read and
      {{ unreadable === 1 ? 'is' : 'are' }} left out.
    </p>
    <p v-if="versions?.length === 0" class="quiet">There are no earlier versions yet.</p>
    <div v-if="versions && versions.length > 0" class="desk">
      <ol ref="list" role="listbox" aria-label="Versions" @keydown="walk">
        <li
          v-for="(one, i) in versions"
          :key="one.revision"
          role="option"
          :aria-selected="one.revision === chosen"
          :tabindex="one.revision === chosen ? 0 : -1"
          @click="chosen = one.revision"
        >
          <span class="strong">{{ when(one) }}</span>
          <span v-if="i === 0" class="small now">now</span>
          <span class="small quiet">{{ summary(one) }}</span>
        </li>
      </ol>
      <section v-if="version" aria-label="Selected version">
        <h2>{{ when(version) }}</h2>
        <p v-if="version.title !== editor.plan.title" class="quiet">It was called “{{ version.title }}”</p>
        <ul v-if="version.changes && version.changes.length > 0" class="changes">
          <li v-for="(change, i) in version.changes" :key="i">{{ changeInWords(change) }}</li>
        </ul>
        <p v-else class="quiet">{{ summary(version) }}.</p>
        <template v-if="shown">
          <h3 class="small">Then, {{ clockOfMs(shown.then.totals.totalMs) }}</h3>
          <SessionRibbon :plan="shown.plan" :timeline="shown.then" :until-ms="shown.untilMs" />
          <h3 class="small">Now, {{ clockOfMs(shown.timeline.totals.totalMs) }}</h3>
          <SessionRibbon :plan="shown.now" :timeline="shown.timeline" :until-ms="shown.untilMs" />
        </template>
        <p class="actions">
          <Button label="Restore this version" :disabled="isNow || !document" @click="restore" />
          <span class="quiet" role="status">{{ message || (isNow ? 'This is the current plan.' : '') }}</span>
        </p>
      </section>
    </div>
  </main>
</template>

<style scoped>
.room {
  padding: 10px 32px 40px;
}
header {
  display: flex;
  gap: 8px 18px;
  align-items: center;
  padding-bottom: 10px;
}
h1 {
  font-size: 24px;
  line-height: 30px;
}
.back {
  max-width: 280px;
}
.end {
  display: flex;
  gap: 4px;
  margin-left: auto;
}
.desk {
  display: grid;
  grid-template-columns: 320px minmax(0, 1fr);
  gap: 28px;
  align-items: start;
}
ol {
  max-height: calc(100vh - 130px);
  overflow: auto;
  border: 1px solid var(--line);
  border-radius: 4px;
}
ol li {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 0 8px;
  padding: 8px 12px;
  border-bottom: 1px solid var(--line);
  cursor: pointer;
  overflow-wrap: anywhere;
}
ol li:last-child {
  border-bottom: 0;
}
ol li .quiet {
  grid-column: 1 / 3;
}
ol li[aria-selected='true'] {
  background: var(--lit);
}
ol li:focus-visible {
  outline: 2px solid var(--focus);
  outline-offset: -2px;
}
.now {
  color: var(--now);
}
section {
  min-width: 0;
}
.changes {
  margin: 6px 0 10px;
  padding-left: 18px;
  list-style: disc;
  overflow-wrap: anywhere;
}
h3 {
  padding-top: 10px;
  color: var(--ink-2);
  font-weight: 600;
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
  padding-top: 14px;
}
@media (width < 800px) {
  .room {
    padding: 10px 16px 32px;
  }
  .desk {
    grid-template-columns: minmax(0, 1fr);
  }
  ol {
    max-height: 240px;
  }
}
</style>
