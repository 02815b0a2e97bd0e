<script setup lang="ts">
import { computed } from 'vue';
import { generalCautions, isUnscreened, LEVELS, LEVEL_WORDS } from '#core/caution';
import type { Step } from '#core/plan';
import { useKnowledge } from '../../state/knowledge';
import CautionMark from './CautionMark.vue';
import FoldedPart from '../../ui/FoldedPart.vue';

/** What is usually said of a step, whoever comes: the conditions by how careful to be, each with its reason. */
const { step, open = false } = defineProps<{ step: Step; open?: boolean }>();

const known = useKnowledge();
const isBlind = computed(() => isUnscreened(step, known.knowledge));
const general = computed(() => generalCautions(step, known.knowledge));
const byLevel = computed(() =>
  [...LEVELS]
    .reverse()
    .map((level) => ({ level, cautions: general.value.filter((one) => one.level === level) }))
    .filter(({ cautions }) => cautions.length > 0),
);
</script>

<template>
  <p v-if="isBlind" class="small caution">
    Not screened: this hold is not in your library. Answer the three questions about it first.
  </p>
  <FoldedPart v-if="general.length > 0" :open="open" class="general">
    <template #title>
      <span v-for="{ level, cautions } in byLevel" :key="level" class="count">
        <CautionMark :level="level" /> {{ cautions.length }} to {{ LEVEL_WORDS[level] }}
      </span>
    </template>
    <dl>
      <template v-for="{ level, cautions } in byLevel" :key="level">
        <dt class="strong small">{{ LEVEL_WORDS[level] }}</dt>
        <dd v-for="one in cautions" :key="one.condition.id" class="small">
          <span :title="one.condition.terms">{{ one.condition.name }}</span> <span class="quiet">{{ one.reason }}</span>
        </dd>
      </template>
    </dl>
  </FoldedPart>
</template>

<style scoped>
.count {
  display: inline-flex;
  gap: 5px;
  align-items: center;
  margin-right: 14px;
}
dl {
  margin: 4px 0 0;
}
dt {
  margin-top: 4px;
}
dd {
  margin: 0;
  padding: 1px 0;
}
</style>
