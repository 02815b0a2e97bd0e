<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { planMetrics, MAX_VARIANTS, type PlanMetrics } from '#core/jobs';
import { takeVariant, type Plan } from '#core/plan';
import { clockOfMs } from '#core/time';
import IconButton from '../../../ui/IconButton.vue';
import DocumentStatus from '../../../widgets/documents/DocumentStatus.vue';
import { ribbonBlocks } from '#core/timeline';
import RibbonThumb from '../../../widgets/ribbon/RibbonThumb.vue';
import TextField from '../../../ui/fields/TextField.vue';
import { useEditor } from '../../../state/editor';
import { useSettings } from '../../../state/settings';
import { useLibrary } from '../../../state/library';
import { useVariants } from './use-variants';
import { comparedRows } from '../fit/compared';

/** The plan and up to three variants of it beside each other, in figures; each can be taken instead of the plan. */
const { plan } = defineProps<{ plan: Plan }>();
const editor = useEditor();
const settings = useSettings();
const library = useLibrary();
const variants = useVariants(editor.id);
const { isLoaded, trouble, conflict, list, canUndo } = variants;
void variants.ready();
const message = ref('');

interface Column {
  id: string | null;
  name: string;
  plan: Plan;
  figures: PlanMetrics;
}
const column = (id: string | null, name: string, of: Plan): Column => ({
  id,
  name,
  plan: of,
  figures: planMetrics({ plan: of, library: library.all }, settings.current.order),
});
const columns = computed(() => [
  column(null, 'Current plan', plan),
  ...list.value.map(({ id, name, plan: of }) => column(id, name, of)),
]);
const rows = computed(() => comparedRows(columns.value));
const pxPerMs = computed(
  () => 218 / Math.max(...columns.value.map(({ figures: { totals } }) => Math.max(totals.totalMs, totals.targetMs))),
);

function take({ name, plan: of }: Column): void {
  editor.edit(takeVariant(name, of));
  editor.seal();
  message.value = `“${name}” is now the plan. Undo brings back the one before.`;
}
async function keepNow(): Promise<void> {
  const [present] = columns.value;
  if (present) message.value = await variants.keep(`As it is, ${clockOfMs(present.figures.totals.totalMs)}`, plan);
}
function remove({ id, name }: Column): void {
  if (id) variants.remove(id);
  message.value = `“${name}” was deleted.`;
}
</script>

<template>
  <DocumentStatus
    noun="set of variants"
    :trouble="trouble"
    :conflict="conflict"
    :resolve="variants.resolve"
    @save="variants.save"
  />
  <div class="bar">
    <Button
      label="Save the current plan"
      outlined
      size="small"
      :disabled="!isLoaded || list.length >= MAX_VARIANTS"
      @click="keepNow"
    />
    <span class="small quiet" role="status">{{ message }}</span>
    <button v-if="canUndo" type="button" class="link-button small" @click="variants.undo">Undo</button>
  </div>
  <p v-if="isLoaded && list.length === 0" class="quiet none">
    No variants yet. Save the plan as it is now, change its lengths or its order, and compare them here: up to
    {{ MAX_VARIANTS }} next to the plan.
  </p>
  <div v-else class="scroll">
    <table>
      <thead>
        <tr>
          <td />
          <th v-for="one in columns" :key="one.id ?? 'now'" scope="col">
            <span class="title">
              <TextField
                v-if="one.id"
                hide-label
                label="Name of the variant"
                :model-value="one.name"
                :accept="(name) => variants.rename(one.id!, name)"
              />
              <span v-else class="now">{{ one.name }}</span>
              <IconButton v-if="one.id" icon="remove" :size="16" :label="`Delete ${one.name}`" @click="remove(one)" />
            </span>
            <RibbonThumb
              :ribbon="ribbonBlocks(one.figures.timeline.phases)"
              :totals="one.figures.timeline.totals"
              :px-per-ms="pxPerMs"
              :width="220"
            />
            <Button v-if="one.id" label="Use this one" size="small" outlined @click="take(one)" />
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.label" :class="{ same: row.same }">
          <th scope="row" class="quiet">{{ row.label }}</th>
          <td v-for="(value, i) in row.values" :key="i" :class="{ strong: value.differs, caution: value.caution }">
            <template v-for="(line, n) in value.lines" :key="n">{{ line }}<br /></template>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
}
.none {
  max-width: 640px;
  padding: 16px 0;
}
.scroll {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
}
th,
td {
  min-width: 224px;
  padding: 6px 24px 6px 0;
  border-bottom: 1px solid var(--line);
  vertical-align: top;
  text-align: left;
  font-weight: 400;
  font-variant-numeric: tabular-nums;
}
tbody th,
thead td {
  min-width: 150px;
}
.title {
  display: flex;
  gap: 4px;
  align-items: center;
  min-height: 34px;
}
.now {
  font-weight: 600;
}
td.strong {
  font-weight: 600;
}
td.caution {
  color: var(--caution);
}
.same td {
  color: var(--ink-2);
}
</style>
