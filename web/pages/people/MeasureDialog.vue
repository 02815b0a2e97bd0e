<script setup lang="ts">
import { useEventListener, useRafFn } from '@vueuse/core';
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { computed, ref, watch } from 'vue';
import { BREATHERS, MIN_BREATHS, type BreathMeasure, type MeasuredPart } from '#core/breath';
import { localMoment } from '../../state/days';
import { newId } from '../../client/new-id';
import { useMeasuring } from './use-measuring';
import ValueDots from './ValueDots.vue';
import SelectField from '../../ui/fields/SelectField.vue';

/** Measures someone's easy breath: at least five breaths, then, if wanted, easy holds; shown before it is kept. */
const { name, save } = defineProps<{
  name: string;
  /** Keeps the measuring; gives why it is refused. */
  save: (measure: BreathMeasure) => string | undefined;
}>();
const visible = defineModel<boolean>('visible', { required: true });

const measuring = useMeasuring();
const { stage, count, enough, breathingIn, breaths, holds, holding, strain, values, simulating, simulated } = measuring;
const trouble = ref('');
const breather = ref(0);
const clock = ref(Date.now());
useRafFn(() => {
  clock.value = Date.now();
  measuring.minded();
});

const word = computed(() => {
  if (stage.value === 'ready') return 'When the next breath comes in …';
  if (stage.value === 'holding') return holding.value?.kind === 'holdFull' ? 'Holding full' : 'Holding empty';
  return breathingIn.value ? 'In' : 'Out';
});
const held = computed(() => (holding.value ? Math.max(0, (clock.value - holding.value.fromMs) / 1000).toFixed(1) : ''));
const hint = computed(() => {
  if (stage.value === 'holding') return 'Press again as soon as it stops being easy.';
  const more = MIN_BREATHS - count.value;
  if (more <= 0) return 'That is enough. A few more make it more reliable.';
  return `Let the breath be as small as it likes. ${more} more ${more === 1 ? 'breath' : 'breaths'} at least.`;
});
const PARTS: readonly { part: MeasuredPart; title: string }[] = [
  { part: 'in', title: 'In' },
  { part: 'out', title: 'Out' },
  { part: 'holdFull', title: 'Hold full' },
  { part: 'holdEmpty', title: 'Hold empty' },
];
const allOf = (part: MeasuredPart): readonly number[] =>
  part === 'in' || part === 'out' ? breaths.value[part] : holds.value[part];
const whole = computed(() => values.value.in.length >= MIN_BREATHS && values.value.out.length >= MIN_BREATHS);

function keep(): void {
  trouble.value = save({ id: newId(), measuredAt: localMoment(new Date()), ...values.value }) ?? '';
  if (trouble.value === '') visible.value = false;
}
watch(visible, () => {
  measuring.again();
  trouble.value = '';
});

const KEYS = new Set([' ', 'Enter']);
const taken = (event: KeyboardEvent): boolean =>
  visible.value && stage.value !== 'looking' && !simulating.value && KEYS.has(event.key);
const onControl = (event: Event): boolean => (event.target as Element).closest('.controls, .p-dialog-header') !== null;
useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  if (!taken(event) || onControl(event)) return;
  event.preventDefault();
  if (!event.repeat) measuring.down();
});
useEventListener(window, 'keyup', (event: KeyboardEvent) => {
  if (!taken(event) || onControl(event)) return;
  event.preventDefault();
  measuring.up();
});
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    :header="`Measure the breath: ${name}`"
    :style="{ width: 'min(760px, 94vw)' }"
  >
    <template v-if="stage !== 'looking'">
      <p class="quiet">
        Press the field (or the space bar) when a breath starts to come in and again when it starts to go out; or hold
        it down through each in-breath.
      </p>
      <button
        type="button"
        class="pad"
        autofocus
        :class="{ in: stage === 'breathing' && breathingIn, hold: stage === 'holding' }"
        :disabled="simulating"
        @pointerdown="measuring.down()"
        @pointerup="measuring.up()"
        @pointerleave="measuring.up()"
      >
        <span class="word" aria-live="polite">{{ word }}</span>
        <span class="numeral count">{{ stage === 'holding' ? `${held} s` : count }}</span>
        <span class="quiet">{{ hint }}</span>
      </button>
    </template>
    <template v-else>
      <div class="values">
        <ValueDots
          v-for="{ part, title } in PARTS"
          :key="part"
          :part="part"
          :title="title"
          :values="allOf(part)"
          :is-left-out="measuring.isLeftOut"
          can-toggle
          @toggle="measuring.toggle(part, $event)"
        />
      </div>
      <p v-if="strain" class="strain" role="alert">{{ strain }}</p>
      <p v-else class="quiet">
        If holding is comfortable today: hold after a breath in, or after a breath out, only as long as it is easy, up
        to three times each. No breath holding in pregnancy, or with high blood pressure, heart or eye problems.
      </p>
    </template>
    <p v-if="trouble" class="caution strong" role="alert">{{ trouble }} Your measurement is still here.</p>
    <div class="controls">
      <template v-if="stage === 'breathing'">
        <Button label="Enough" :disabled="!enough" @click="measuring.finish()" />
        <Button label="Start again" outlined @click="measuring.again()" />
      </template>
      <template v-else-if="stage === 'holding'">
        <Button v-if="!simulating" label="End the hold" @click="measuring.endHold()" />
      </template>
      <template v-else-if="stage === 'looking'">
        <Button v-if="!simulated" label="Save" :disabled="!whole" @click="keep" />
        <p v-else class="small quiet">A simulated breath belongs to nobody: it is shown but not saved.</p>
        <template v-if="!strain && !simulated">
          <Button label="Hold full" outlined @click="measuring.beginHold('holdFull')" />
          <Button label="Hold empty" outlined @click="measuring.beginHold('holdEmpty')" />
        </template>
        <Button label="Start again" text @click="measuring.again()" />
        <span v-if="!whole" class="caution small">At least {{ MIN_BREATHS }} breaths are needed.</span>
      </template>
      <span v-if="stage === 'ready' || simulating" class="simulated small">
        <SelectField
          v-model="breather"
          label="Without a person:"
          :disabled="simulating"
          :options="BREATHERS.map(({ name }, i) => ({ value: i, label: name }))"
        />
        <button
          type="button"
          class="link-button"
          @click="simulating ? measuring.again() : measuring.simulate(BREATHERS[breather]!)"
        >
          {{ simulating ? 'Stop' : 'Simulate' }}
        </button>
      </span>
    </div>
  </Dialog>
</template>

<style scoped>
.pad {
  display: flex;
  flex-direction: column;
  gap: 6px;
  align-items: center;
  justify-content: center;
  width: 100%;
  height: 240px;
  margin-top: 10px;
  border: 1px solid var(--line-strong);
  border-radius: 6px;
  background: var(--well);
  cursor: pointer;
  touch-action: none;
  user-select: none;
}
.pad:disabled {
  color: inherit;
  cursor: default;
}
.pad.in {
  border-bottom: 12px solid var(--breath);
  background: var(--breath-soft);
}
.pad.hold {
  border-top: 12px solid var(--breath);
}
.word {
  font: 600 32px/38px var(--head);
}
.count {
  font-size: 64px;
  line-height: 68px;
}
.values {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 14px 24px;
}
.strain {
  margin-top: 12px;
  padding: 10px 12px;
  border-left: 3px solid var(--caution);
  background: var(--well);
}
.values + .quiet {
  margin-top: 12px;
}
.controls {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  min-height: 44px;
  margin-top: 14px;
}
.simulated {
  display: flex;
  gap: 10px;
  align-items: center;
  margin-left: auto;
}
@media (width < 640px) {
  .values {
    grid-template-columns: 1fr;
  }
}
</style>
