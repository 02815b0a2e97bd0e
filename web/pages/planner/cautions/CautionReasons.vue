<script setup lang="ts">
import { computed } from 'vue';
import { CAUTION_TRAIT_WORDS, conditionsOf, LEVEL_WORDS, reasonsOf, type Caution } from '#core/caution';
import CautionMark from '../../../widgets/cautions/CautionMark.vue';

/**
 * Cautions with their reasons and what to do instead; of what was said at an earlier step only where that was. Conditions
 * are named only where `named` asks for it.
 */
const { cautions, named = false } = defineProps<{ cautions: readonly Caution[]; named?: boolean }>();

const reasons = computed(() =>
  cautions.map((caution) => {
    const { rule, level, measured, earlier } = caution;
    const conditions = conditionsOf(caution);
    const what = rule.on.kind === 'trait' ? CAUTION_TRAIT_WORDS[rule.on.trait] : '';
    return {
      id: rule.id,
      level,
      name: conditions.map(({ name }) => name).join(', '),
      terms: conditions.map(({ terms }) => terms).join('; '),
      reason: earlier !== undefined ? `As at step ${earlier + 1}.` : reasonsOf(caution).join(' '),
      instead: rule.instead.words,
      asks: [what, measured].filter(Boolean).join(', '),
    };
  }),
);
</script>

<template>
  <ul class="reasons">
    <li v-for="one in reasons" :key="one.id">
      <CautionMark :level="one.level" />
      <div>
        <p>
          <strong>{{ LEVEL_WORDS[one.level] }}</strong>
          <span v-if="named" :title="one.terms"> · {{ one.name }}</span>
          <span v-if="one.asks" class="quiet"> · {{ one.asks }}</span>
        </p>
        <p>
          {{ one.reason }} <span class="quiet">Instead: {{ one.instead }}</span>
        </p>
      </div>
    </li>
  </ul>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 16px minmax(0, 1fr);
  gap: 8px;
  padding: 6px 0;
  border-top: 1px solid var(--line);
  font-size: 14px;
  line-height: 18px;
}
.mark {
  margin-top: 2px;
}
</style>
