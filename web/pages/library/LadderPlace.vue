<script setup lang="ts">
import { computed } from 'vue';
import { ratioInWords, ratioOfPractice, type BreathPractice } from '#core/breath';
import { useSettings } from '../../state/settings';

/** Where a technique stands on the ladder of ratios, and what opens its rung. */
const { practice } = defineProps<{ practice: BreathPractice }>();

const settings = useSettings();
void settings.ready();

const ratio = computed(() => ratioOfPractice(practice));
const rungs = computed(() => {
  const { ladder } = settings.current.breath;
  return ladder.map(({ ratio: one, gate }, i) => ({
    words: ratioInWords(one),
    here: ratio.value !== undefined && ratioInWords(one) === ratioInWords(ratio.value),
    opens:
      gate === 0
        ? 'is open from the start'
        : `opens after ${gate} easy ${gate === 1 ? 'session' : 'sessions'} of ${ratioInWords(ladder[i - 1]?.ratio ?? one)}`,
  }));
});
const here = computed(() => rungs.value.find((rung) => rung.here));
</script>

<template>
  <section v-if="ratio">
    <h2>On the ladder</h2>
    <ol>
      <li v-for="rung in rungs" :key="rung.words" :class="{ here: rung.here }" :aria-current="rung.here || undefined">
        {{ rung.words }}
      </li>
    </ol>
    <p v-if="here">{{ here.words }} {{ here.opens }}.</p>
    <p v-else>
      {{ ratioInWords(ratio) }} is not on your ladder.
      <RouterLink to="/settings?group=breath">Change the ladder</RouterLink>
    </p>
  </section>
</template>

<style scoped>
h2 {
  margin-top: 16px;
  font-size: 19px;
  line-height: 24px;
}
ol {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  padding: 4px 0;
}
li {
  padding: 2px 7px;
  border: 1px solid var(--line);
  border-radius: 3px;
  color: var(--ink-2);
  font-size: 13px;
}
.here {
  border-color: var(--ink);
  box-shadow: inset 0 0 0 1px var(--ink);
  color: var(--ink);
  font-weight: 600;
}
</style>
