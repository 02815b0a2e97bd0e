<script setup lang="ts">
import { computed, ref } from 'vue';
import { VIEWS, type View, type ViewName } from '#core/body';
import type { Position } from '#core/catalogue';
import FigureView from '../../../widgets/figures/FigureView.vue';
import { requestFor, useDrawnFigure } from '../../../widgets/figures/use-figure';
import { useMoving } from '../../../widgets/figures/use-moving';
import { useLibrary } from '../../../state/library';
import MeasuredRow from '../MeasuredRow.vue';
import EditFrame from './EditFrame.vue';
import LengthFields from './LengthFields.vue';
import NameFields from './NameFields.vue';
import PoseFields from './PoseFields.vue';
import SetUpFields from './SetUpFields.vue';
import DescriptionFields from './DescriptionFields.vue';
import { provideEntry } from './use-entry';
import { useEntryDraft } from './use-entry-draft';
import SelectField from '../../../ui/fields/SelectField.vue';

/** A custom position: its figure beside its details. */
const { id } = defineProps<{ id: string }>();

const draft = useEntryDraft(id);
provideEntry(draft);
const library = useLibrary();
const open = ref(0);
const { moving, setMoving } = useMoving();
const looked = ref<'best' | ViewName>('best');

const entry = computed((): Position | undefined =>
  draft.document.value?.kind === 'position' ? draft.document.value.entry : undefined,
);
const items = computed(() => entry.value?.setUps[Math.min(open.value, entry.value.setUps.length - 1)]?.items ?? []);
const { drawn, trouble } = useDrawnFigure(() =>
  requestFor({
    position: entry.value,
    setUp: items.value,
    coarse: moving.value,
    ...(looked.value === 'best' ? {} : { view: VIEWS[looked.value] }),
  }),
);
const LOOKS: readonly { value: 'best' | ViewName; label: string }[] = [
  { value: 'best', label: 'Default' },
  { value: 'side', label: 'Side' },
  { value: 'above', label: 'Above' },
  { value: 'front', label: 'Front' },
  { value: 'back', label: 'Back' },
  { value: 'threeQuarter', label: 'Half front' },
  { value: 'threeQuarterBack', label: 'Half back' },
];
const same = (a: View, b: View): boolean => a.azimuth === b.azimuth && a.elevation === b.elevation;
const isBest = computed(
  () => looked.value === 'best' || (entry.value && same(entry.value.figure.view, VIEWS[looked.value])),
);
function makeBest(): void {
  if (looked.value !== 'best') draft.change('figure.view', VIEWS[looked.value]);
  looked.value = 'best';
}
const figures = computed(() => library.positions.map(({ id, names }) => ({ value: id, label: names.english })));
function takeFigure(from: string): void {
  const other = library.all.position(from);
  if (other) draft.change('figure', other.figure);
}
</script>

<template>
  <EditFrame :name="entry?.names.english ?? ''" kind="position">
    <template v-if="entry">
      <section class="look" aria-label="How it looks">
        <div class="stays">
          <div class="large">
            <FigureView :figure="drawn" :label="`${entry.names.english || 'The figure'}, as it is now`" />
            <p v-if="trouble" class="caution" role="alert">{{ trouble }}</p>
          </div>
          <div class="line small" role="group" aria-label="Seen from">
            <button
              v-for="{ value, label } in LOOKS"
              :key="value"
              type="button"
              class="plain-button"
              :aria-pressed="looked === value"
              @click="looked = value"
            >
              {{ label }}
            </button>
            <button v-if="!isBest" type="button" class="link-button" @click="makeBest">
              Make this the default view
            </button>
            <SelectField
              hide-label
              label="Start from the figure of another position"
              placeholder="start from the figure of…"
              :options="figures"
              :model-value="null"
              @update:model-value="takeFigure"
            />
          </div>
          <PoseFields :entry="entry" :items="items" @moving="setMoving" />
          <MeasuredRow v-if="drawn" :measures="drawn.measures" :mirrored="false" />
        </div>
      </section>
      <section class="told" aria-label="Description">
        <p v-if="entry.sides !== 'together'" class="small quiet">Everything is written for the left side.</p>
        <NameFields :entry="entry" />
        <LengthFields :entry="entry" />
        <SetUpFields v-model:open="open" :entry="entry" />
        <DescriptionFields :entry="entry" />
      </section>
    </template>
  </EditFrame>
</template>

<style scoped>
/* The figure stays in view while the fields beside it are written. */
.stays {
  position: sticky;
  top: var(--head-height);
  overflow-y: auto;
  max-height: calc(100vh - var(--head-height));
  padding: 12px 32px 24px;
}
.look {
  border-right: 1px solid var(--line-strong);
  background: var(--sheet);
}
.large {
  height: 300px;
  margin-bottom: 8px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  align-items: center;
  margin-bottom: 10px;
  padding-bottom: 6px;
  border-bottom: 1px solid var(--line);
  color: var(--ink-2);
}
.line button {
  min-height: 26px;
  border-bottom: 2px solid transparent;
}
.line [aria-pressed='true'] {
  border-color: var(--ink);
  color: var(--ink);
  font-weight: 600;
}
.line select {
  max-width: 180px;
  margin-left: auto;
}
.told {
  padding: 8px 32px 40px 28px;
}
@media (width < 900px) {
  .look {
    border-right: 0;
  }
  .stays {
    position: static;
    max-height: none;
  }
}
@media (width < 640px) {
  .stays,
  .told {
    padding-right: 16px;
    padding-left: 16px;
  }
}
</style>
