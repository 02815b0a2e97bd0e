<script setup lang="ts">
import { computed, ref, shallowRef, useTemplateRef } from 'vue';
import { VIEWS, type BodyPlace, type ViewName } from '#core/body';
import type { Position } from '#core/catalogue';
import type { PropKind } from '#core/props';
import { setUpOfStage, type HoldStep, type Side } from '#core/plan';
import { figurePlaces } from '../../../widgets/figures/figures';
import FigureView from '../../../widgets/figures/FigureView.vue';
import { requestFor, useDrawnFigure, usePositionFigure } from '../../../widgets/figures/use-figure';
import { freeGaps, heightsInWords } from '../../../widgets/figures/measured-words';
import ChoiceField from '../../../ui/fields/ChoiceField.vue';
import SelectField from '../../../ui/fields/SelectField.vue';
import type { LiftedProp } from '../../../widgets/props/use-prop-drag';
import { lengthInWords } from '../../../ui/lengths';
import { useDeviceSettings } from '../../../state/device-settings';
import BodyPlaces from './BodyPlaces.vue';

/**
 * The figure of a hold with its set-up for the chosen body, from where it is best seen or from another side. A prop
 * that is carried over it finds the nearest place of the body. Under it stands what was measured on it.
 */
const { step, position } = defineProps<{ step: HoldStep; position: Position }>();
/** The side and the stage (from 0) that are drawn. */
const side = defineModel<Side>('side', { required: true });
const stage = defineModel<number>('stage', { required: true });

const CHOICES: readonly { view: 'best' | ViewName; label: string }[] = [
  { view: 'best', label: 'Default' },
  { view: 'side', label: 'Side' },
  { view: 'above', label: 'Above' },
  { view: 'front', label: 'Front' },
];
const view = ref<(typeof CHOICES)[number]['view']>('best');

const twoSided = computed(() => step.sides.kind === 'each' || step.sides.kind === 'crossing');
const mirrored = computed(() =>
  step.sides.kind === 'one' ? step.sides.side === 'right' : twoSided.value && side.value === 'right',
);
const settings = useDeviceSettings();
const setUp = computed(() => setUpOfStage(step, stage.value));
const best = usePositionFigure(() => ({ position, setUp: setUp.value, body: settings.body }));
const request = computed(() =>
  requestFor({
    position,
    setUp: setUp.value,
    body: settings.body,
    ...(view.value !== 'best' && { view: VIEWS[view.value] }),
  }),
);
// Drawn in the worker whatever the view: the measures come with it.
const { drawn } = useDrawnFigure(request);
const figure = computed(() => (view.value === 'best' ? best.value : (drawn.value ?? best.value)));
const measured = computed(() => {
  if (!drawn.value) return '';
  const free = freeGaps(drawn.value.measures, mirrored.value).map(({ place, cm }) => `${place} ${lengthInWords(cm)}`);
  return [heightsInWords(drawn.value.measures), free.length > 0 ? `Free under ${free.join(', ')}.` : '']
    .filter(Boolean)
    .join(' ');
});
const SIDES = [
  { value: 'left', label: 'Left' },
  { value: 'right', label: 'Right' },
] as const;
const stages = computed(() => step.stages.map(({ name }, i) => ({ value: i, label: `${i + 1} ${name}` })));

const picture = useTemplateRef<HTMLElement>('picture');
const places = shallowRef<readonly BodyPlace[]>([]);
const nearest = shallowRef<BodyPlace>();
let latest = '';
/** Within this of a place, in millimetres of the picture, a prop goes there. */
const WITHIN_MM = 320;

/** Makes ready for a prop that may come: the places are those of this body in this view. */
async function expect(): Promise<void> {
  const key = JSON.stringify(request.value);
  if (!request.value || key === latest) return;
  latest = key;
  const found = await figurePlaces(request.value).catch(() => []);
  if (key === latest) places.value = found;
}
/** A prop is carried to a place of the screen. */
function over({ x, y, kind }: Pick<LiftedProp, 'x' | 'y' | 'kind'>): void {
  void expect();
  lifted.value = kind;
  nearest.value = undefined;
  const svg = picture.value?.querySelector('svg');
  const toPicture = svg?.getScreenCTM()?.inverse();
  if (!svg || !toPicture) return;
  const at = new DOMPoint(x, y).matrixTransform(toPicture);
  const box = svg.viewBox.baseVal;
  let within = WITHIN_MM;
  for (const place of places.value) {
    const across = mirrored.value ? 2 * box.x + box.width - place.x : place.x;
    const far = Math.hypot(across - at.x, place.y - at.y);
    if (far < within) [within, nearest.value] = [far, place];
  }
  carrying.value = true;
}
const carrying = ref(false);
const lifted = ref<PropKind>('blanket');
/** The prop is let go, or taken back: gives the place it was over. */
function letGo(): BodyPlace | undefined {
  const at = nearest.value;
  [nearest.value, carrying.value] = [undefined, false];
  return at;
}
defineExpose({ expect, over, letGo });
</script>

<template>
  <div class="hold-figure">
    <div ref="picture" class="picture">
      <FigureView :figure="figure" :mirrored="mirrored" :label="`${step.name}${mirrored ? ', right side' : ''}`">
        <template #default="{ across }">
          <BodyPlaces v-if="carrying" :kind="lifted" :places="places" :nearest="nearest" :across="across" />
        </template>
      </FigureView>
    </div>
    <div class="views small" role="group" aria-label="Seen from">
      <button
        v-for="choice in CHOICES"
        :key="choice.view"
        type="button"
        class="plain-button"
        :aria-pressed="view === choice.view"
        @click="view = choice.view"
      >
        {{ choice.label }}
      </button>
      <ChoiceField v-if="twoSided" v-model="side" class="sides" label="Side drawn" :options="SIDES" />
    </div>
    <SelectField v-if="stages.length > 1" v-model="stage" class="small" label="Stage" :options="stages" />
    <p class="small measured" role="note">{{ measured }}</p>
  </div>
</template>

<style scoped>
.picture {
  height: 150px;
}
.views {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
  align-items: center;
  min-height: 26px;
  color: var(--ink-2);
}
.views button {
  min-height: 24px;
  border-bottom: 2px solid transparent;
}
.views [aria-pressed='true'] {
  border-color: var(--ink);
  color: var(--ink);
  font-weight: 600;
}
.sides {
  margin-left: auto;
}
.measured {
  min-height: 34px;
  padding-top: 2px;
  color: var(--ink-2);
}
</style>
