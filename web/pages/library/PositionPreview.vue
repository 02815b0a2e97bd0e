<script setup lang="ts">
import SelectButton from 'primevue/selectbutton';
import { computed, ref, shallowRef } from 'vue';
import { ORDINARY, REFERENCE_HEIGHT_CM, VIEWS, type Flexibility, type View } from '#core/body';
import type { NamedSetUp, Position } from '#core/catalogue';
import FigureView from '../../widgets/figures/FigureView.vue';
import type { FigureRequest } from '../../workers/drawing-request';
import { requestFor, useDrawnFigure } from '../../widgets/figures/use-figure';
import { useMoving } from '../../widgets/figures/use-moving';
import BodySliders from '../../widgets/props/BodySliders.vue';
import MeasuredRow from './MeasuredRow.vue';

/** How a position looks: with which set-up, on which side, for whom, and from all sides. */
const { entry, setUp } = defineProps<{ entry: Position; setUp: NamedSetUp }>();
const setUpId = defineModel<string>('setUpId', { required: true });
const side = defineModel<'left' | 'right'>('side', { required: true });

const statureCm = ref(REFERENCE_HEIGHT_CM);
const flexibility = shallowRef<Flexibility>({ ...ORDINARY });
const { moving, setMoving } = useMoving();

const twoSided = computed(() => entry.sides === 'each' || entry.sides === 'crossing');
const request = (coarse: boolean, view?: View): FigureRequest | undefined =>
  requestFor({
    position: entry,
    setUp: setUp.items,
    body: { statureCm: statureCm.value, flexibility: flexibility.value },
    coarse,
    ...(view ? { view } : {}),
  });
const own = useDrawnFigure(() => request(moving.value));
/** The three views wait with what they show until nothing moves. */
const whenStill = (view: View) =>
  computed<FigureRequest | undefined>((before) => (moving.value && before ? before : request(false, view)));
const views = [
  { name: 'From the side', ...useDrawnFigure(whenStill(VIEWS.side)) },
  { name: 'From above', ...useDrawnFigure(whenStill(VIEWS.above)) },
  { name: 'From the front', ...useDrawnFigure(whenStill(VIEWS.front)) },
];
const sideOptions = [
  { label: 'Left side', value: 'left' },
  { label: 'Right side', value: 'right' },
];
</script>

<template>
  <section class="look" aria-label="How it looks">
    <div class="choices">
      <SelectButton
        v-model="setUpId"
        :options="entry.setUps"
        option-label="name"
        option-value="id"
        :allow-empty="false"
        aria-label="Set-up"
      />
      <SelectButton
        v-if="twoSided"
        v-model="side"
        :options="sideOptions"
        option-label="label"
        option-value="value"
        :allow-empty="false"
        aria-label="Side"
      />
    </div>
    <div class="large">
      <FigureView
        :figure="own.drawn.value"
        :mirrored="side === 'right'"
        :label="`${entry.names.english}, ${setUp.name}`"
      />
      <p v-if="own.trouble.value" class="caution" role="alert">{{ own.trouble.value }}</p>
    </div>
    <div class="views">
      <figure v-for="{ name, drawn } in views" :key="name">
        <FigureView :figure="drawn.value" :mirrored="side === 'right'" :label="name" />
        <figcaption class="small quiet">{{ name }}</figcaption>
      </figure>
    </div>
    <BodySliders v-model:stature-cm="statureCm" v-model:flexibility="flexibility" @moving="setMoving" />
    <MeasuredRow v-if="own.drawn.value" :measures="own.drawn.value.measures" :mirrored="side === 'right'" />
  </section>
</template>

<style scoped>
.look {
  padding: 16px 32px 24px;
  border-right: 1px solid var(--line-strong);
  background: var(--sheet);
}
.choices :deep(.p-selectbutton) {
  flex-wrap: wrap;
}
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.large {
  height: 320px;
  margin: 14px 0;
}
.views {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 16px;
  margin-bottom: 16px;
  padding: 12px 0;
  border-top: 1px solid var(--line);
  border-bottom: 1px solid var(--line);
}
figure {
  margin: 0;
}
.views :deep(svg) {
  height: 130px;
}
figcaption {
  margin-top: 4px;
  text-align: center;
}
@media (width < 900px) {
  .look {
    border-right: 0;
  }
}
@media (width < 640px) {
  .look {
    padding-right: 16px;
    padding-left: 16px;
  }
  .views {
    grid-template-columns: 1fr;
  }
}
</style>
