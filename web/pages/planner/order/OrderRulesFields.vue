<script setup lang="ts">
import { computed } from 'vue';
import { APPROACH_LABELS, type Approach } from '#core/catalogue';
import { ORDER_RULES, type BreathSpot, type OrderRules } from '#core/order';
import type { Seconds } from '#core/numbers';
import NumberField from '../../../ui/fields/NumberField.vue';
import SelectField from '../../../ui/fields/SelectField.vue';
import TimeField from '../../../ui/fields/TimeField.vue';
import DocumentStatus from '../../../widgets/documents/DocumentStatus.vue';
import { useSettings } from '../../../state/settings';
import CheckField from '../../../ui/fields/CheckField.vue';

/** What makes a smooth order: what a change counts, and which rules it keeps. They apply to every plan. */
const { approach } = defineProps<{ approach: Approach }>();
const settings = useSettings();
void settings.ready();

const rules = computed(() => settings.current.order);
const put = (order: OrderRules): string | undefined => settings.change('order rules', { ...settings.current, order });
const setWeight = (of: keyof OrderRules['weights'], value: number) =>
  put({ ...rules.value, weights: { ...rules.value.weights, [of]: value } });

const WEIGHTS = [
  {
    weight: 'family',
    label: 'a change of position',
    why: 'From lying to sitting, sitting to kneeling: the whole group moves.',
  },
  { weight: 'propMove', label: 'a prop move', why: 'One prop put down, taken away, refolded or moved.' },
  { weight: 'wall', label: 'moving to the wall', why: 'Mats are turned and carried.' },
  { weight: 'side', label: 'a change of side', why: 'A step begins on the side the one before did not end on.' },
] as const;
const SPOTS: readonly { value: BreathSpot; label: string }[] = [
  { value: 'first', label: 'before the holds' },
  { value: 'last', label: 'after the holds' },
  { value: 'ends', label: 'before or after them' },
  { value: 'anywhere', label: 'anywhere' },
];
const breath = computed({
  get: () => rules.value.breath[approach],
  set: (spot: BreathSpot) => void put({ ...rules.value, breath: { ...rules.value.breath, [approach]: spot } }),
});
const isUsual = computed(() => JSON.stringify(rules.value) === JSON.stringify(ORDER_RULES));
</script>

<template>
  <section class="rules" aria-labelledby="rules-title">
    <header>
      <h3 id="rules-title">What makes a smooth order</h3>
      <span class="small quiet">for all plans</span>
      <button v-if="!isUsual" type="button" class="link-button small" @click="put(ORDER_RULES)">
        Reset to defaults
      </button>
    </header>
    <DocumentStatus
      noun="set of rules"
      :trouble="settings.trouble"
      :conflict="settings.conflict"
      :resolve="settings.resolve"
      @save="settings.save"
    />
    <div v-for="{ weight, label, why } in WEIGHTS" :key="weight" class="rule">
      <NumberField
        hide-label
        :label="`What ${label} counts`"
        :model-value="rules.weights[weight]"
        :accept="(value) => setWeight(weight, value)"
      />
      <span>
        for {{ label }}<br /><span class="small quiet">{{ why }}</span>
      </span>
    </div>
    <div class="rule">
      <CheckField
        class="check"
        label="follow a deep fold or a back bend with a counterpose within two steps"
        :model-value="rules.answer"
        @update:model-value="(answer) => put({ ...rules, answer })"
      />
      <span class="small quiet"
        >Each entry of the library says what it asks a counterpose for, and what it is one for.</span
      >
    </div>
    <div class="rule">
      <CheckField
        class="check"
        label="something neutral between a back bend and a deep fold"
        :model-value="rules.neutral"
        @update:model-value="(neutral) => put({ ...rules, neutral })"
      />
      <span class="small quiet">Neither follows the other directly; lying flat or a gentle twist comes between.</span>
    </div>
    <div class="rule">
      <CheckField
        class="check"
        label="what rouses before what quiets"
        :model-value="rules.rousing"
        @update:model-value="(rousing) => put({ ...rules, rousing })"
      />
      <span class="small quiet">Each entry of the library says which it does, if it does either.</span>
    </div>
    <div class="rule">
      <TimeField
        label="not twice in a row on one joint, from"
        usual="ignore"
        :model-value="rules.longSeconds"
        :accept="(longSeconds: Seconds | null) => put({ ...rules, longSeconds })"
      />
      <span class="small quiet"
        >Two holds this long that load the same hips, knees, shoulders, neck or low back are kept apart.</span
      >
    </div>
    <div class="rule">
      <SelectField v-model="breath" :label="`${APPROACH_LABELS[approach]}: breath`" :options="SPOTS" />
      <span class="small quiet">Each approach has its own; this is for plans like this one.</span>
    </div>
    <p class="small quiet">
      The final rest stays last, pinned steps stay where they are, and talk, release and rests without different props
      stay with the step before them.
    </p>
  </section>
</template>

<style scoped>
.rules {
  display: flex;
  flex-direction: column;
}
header {
  display: flex;
  gap: 12px;
  align-items: baseline;
}
h3 {
  font-size: 19px;
  line-height: 28px;
}
.rule {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  align-items: center;
  min-height: 44px;
  padding: 3px 0;
  border-bottom: 1px solid var(--line);
}
.rule > .small {
  flex: 1 1 220px;
}
.check {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 24px;
}
p {
  padding-top: 8px;
}
</style>
