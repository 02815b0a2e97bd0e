<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { BREATH_LIMITS, fitBreath } from '#core/breath';
import { setBreath, type BreathStep } from '#core/plan';
import { clockOfMs } from '#core/time';
import FieldGroup from '../../../ui/fields/FieldGroup.vue';
import TimeField from '../../../ui/fields/TimeField.vue';
import { useEdit } from '../use-edit';
import CheckField from '../../../ui/fields/CheckField.vue';

/** Fits a practice into a length of time: whole rounds, the remainder as quiet breathing, shown before it is taken. */
const { step } = defineProps<{ step: BreathStep }>();

const edit = useEdit();
const target = ref<number | null>(null);
const mayChangeCount = ref(false);
const COUNT_WITHIN = 0.1;
/** Lengths that are asked for most, one press away. */
const USUAL_MINUTES = [3, 5, 10];

const fit = computed(() =>
  target.value === null
    ? undefined
    : fitBreath(step.practice, target.value, { countWithin: mayChangeCount.value ? COUNT_WITHIN : 0 }),
);
const says = computed(() => {
  if (!fit.value) return '';
  if (!fit.value.ok) return `Too short: one round of each set takes ${clockOfMs(fit.value.shortestMs)}.`;
  const { practice, lengthMs, quietMs } = fit.value;
  const rounds = practice.sets.map((set) => set.rounds).join(' and ');
  const count = practice.countSeconds === step.practice.countSeconds ? '' : `, one count ${practice.countSeconds} s`;
  const quiet = quietMs === 0 ? 'no time left over' : `then ${clockOfMs(quietMs)} of quiet breathing`;
  return `${rounds} ${rounds === '1' ? 'round' : 'rounds'}${count}: ${clockOfMs(lengthMs)}, ${quiet}.`;
});

function setTarget(seconds: number | null): string | undefined {
  if (seconds !== null && seconds > BREATH_LIMITS.maxPracticeSeconds) return 'A breath practice lasts at most 60:00.';
  target.value = seconds;
  return undefined;
}
function take(): void {
  const found = fit.value;
  if (!found?.ok) return;
  edit(setBreath(step.id, { practice: found.practice, afterSeconds: found.quietMs / 1000 }));
  target.value = null;
}
</script>

<template>
  <FieldGroup title="Fit to a length">
    <div class="fit">
      <TimeField label="to a length of" usual="5:00" :model-value="target" :accept="setTarget" />
      <button
        v-for="minutes in USUAL_MINUTES"
        :key="minutes"
        type="button"
        class="link-button small"
        @click="setTarget(60 * minutes)"
      >
        {{ minutes }} min
      </button>
      <CheckField v-model="mayChangeCount" class="small" label="let the count vary by 10 %" />
      <template v-if="fit">
        <p class="says" :class="{ caution: !fit.ok }" role="status">{{ says }}</p>
        <Button v-if="fit.ok" label="Apply" size="small" outlined @click="take" />
      </template>
    </div>
  </FieldGroup>
</template>

<style scoped>
.fit {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
}
label.small {
  display: flex;
  gap: 5px;
  align-items: center;
  min-height: 26px;
}
.says {
  flex: 1 1 220px;
}
</style>
