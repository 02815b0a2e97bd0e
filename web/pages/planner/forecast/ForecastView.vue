<script setup lang="ts">
import Button from 'primevue/button';
import { watchDebounced } from '@vueuse/core';
import { computed, ref, toRef } from 'vue';
import { FORECAST } from '#core/jobs';
import { changeInWords } from '#core/fit';
import { takeFit, type Plan } from '#core/plan';
import { basisInWords, chanceInWords, forecastInWords, pacesInWords } from '#core/review';
import { clockOfMs } from '#core/time';
import type { Timeline } from '#core/timeline';
import { useForecast } from '../../../widgets/jobs/use-forecast';
import { useJob } from '../../../widgets/jobs/use-job';
import SessionRibbon from '../../../widgets/ribbon/SessionRibbon.vue';
import { useEditor } from '../../../state/editor';
import { useLibrary } from '../../../state/library';
import { usePaces } from '../../../state/paces';
import JobProgress from '../../../widgets/jobs/JobProgress.vue';
import ForecastKinds from './ForecastKinds.vue';

/** When a plan would really end: in a sentence, on the ribbon, by step, and what to shorten to be nearly sure. */
const { plan, timeline } = defineProps<{ plan: Plan; timeline: Timeline }>();
const editor = useEditor();
const library = useLibrary();
const runs = usePaces();
const { forecast, paces, trouble } = useForecast(toRef(() => plan));
const sure = useJob('sure');
const chosen = ref<string>();
const message = ref('');

const ask = (): void => {
  if (runs.runs) void sure.ask(plan, library.all, { runs: runs.runs, ...FORECAST });
};
watchDebounced([() => plan, () => runs.runs], ask, { debounce: 400, immediate: true });

const MIN_SHARE = 0.04;
/** The steps that bring the most of what is uncertain. */
const uncertain = computed(() =>
  (forecast.value?.uncertain ?? [])
    .map((share, index) => ({ index, share, name: plan.steps[index]?.name ?? '' }))
    .filter(({ share }) => share >= MIN_SHARE)
    .sort((a, b) => b.share - a.share)
    .slice(0, 6),
);
const shorten = computed(() => {
  const found = sure.answer.value;
  return found?.kind === 'shorten' ? found : undefined;
});
const changes = computed(() => (shorten.value?.lengths ?? []).filter(({ from, to }) => from !== to));
function take(): void {
  if (!shorten.value) return;
  editor.edit(takeFit(shorten.value.lengths));
  editor.seal();
  message.value = 'Applied. Undo brings the lengths back.';
}
</script>

<template>
  <p v-if="trouble" class="caution strong" role="alert">
    {{ trouble }} <button type="button" class="link-button" @click="runs.load">Try again</button>
  </p>
  <div v-if="forecast && paces" class="head">
    <h2>{{ forecastInWords(forecast) }}</h2>
    <p class="quiet">{{ chanceInWords(forecast) }} {{ basisInWords(forecast) }}</p>
  </div>
  <p v-else class="quiet" role="status">Working out when it would end…</p>
  <SessionRibbon
    :plan="plan"
    :timeline="timeline"
    :soft="forecast"
    :selected="plan.steps.findIndex(({ id }) => id === chosen)"
    @select="chosen = plan.steps[$event]?.id"
  />
  <div v-if="forecast && paces" class="columns">
    <div class="column">
      <section aria-labelledby="ends-title">
        <h3 id="ends-title">When it ends</h3>
        <dl>
          <div>
            <dt>10 % likely by</dt>
            <dd>{{ clockOfMs(forecast.earlyMs) }}</dd>
          </div>
          <div>
            <dt>50 % likely by</dt>
            <dd>{{ clockOfMs(forecast.middleMs) }}</dd>
          </div>
          <div>
            <dt>90 % likely by</dt>
            <dd>{{ clockOfMs(forecast.lateMs) }}</dd>
          </div>
          <div>
            <dt>the class ends at</dt>
            <dd>{{ clockOfMs(forecast.targetMs) }}</dd>
          </div>
        </dl>
      </section>
      <section aria-labelledby="sure-title">
        <h3 id="sure-title">To be 90 % sure of ending on time</h3>
        <p v-if="sure.answer.value?.kind === 'already'" role="status">Nothing needs to be shorter.</p>
        <template v-else-if="shorten">
          <ul>
            <li v-for="(length, i) in changes" :key="i">{{ changeInWords(plan, length) }}</li>
          </ul>
          <p class="take">
            <span class="quiet">Then it is 90 % likely to end by {{ clockOfMs(shorten.forecast.lateMs) }}.</span>
            <Button label="Apply these lengths" size="small" @click="take" />
          </p>
        </template>
        <p v-else-if="sure.answer.value?.kind === 'cannot'" class="caution">
          Even with every length at its minimum it is only 90 % likely to end by
          {{ clockOfMs(sure.answer.value.lateMs) }}.
          <RouterLink :to="`/plans/${editor.id}/fit`">See what would make it fit</RouterLink>
        </p>
        <p v-else-if="sure.answer.value?.kind === 'refused'" class="quiet">{{ sure.answer.value.reason }}</p>
        <JobProgress
          :share="sure.share.value"
          :trouble="sure.trouble.value"
          what="Looking for what to shorten…"
          @stop="sure.stop"
          @again="ask"
        />
        <p class="small quiet" role="status">{{ message }}</p>
      </section>
    </div>
    <div class="column">
      <section v-if="uncertain.length > 0" aria-labelledby="uncertain-title">
        <h3 id="uncertain-title">What makes it uncertain</h3>
        <ul>
          <li v-for="{ index, name, share } in uncertain" :key="index" class="share">
            <span class="name">{{ index + 1 }} {{ name }}</span>
            <span class="bar" aria-hidden="true"><span :style="{ width: `${Math.round(100 * share)}%` }" /></span>
            <span class="percent">{{ Math.round(100 * share) }} %</span>
          </li>
        </ul>
      </section>
      <ForecastKinds :lines="pacesInWords(paces)" :runs="forecast.runs" />
    </div>
  </div>
</template>

<style scoped>
h2 {
  font-size: 29px;
  line-height: 36px;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 48px;
}
.column {
  display: flex;
  flex-direction: column;
  gap: 20px;
}
h3 {
  font-size: 19px;
  line-height: 28px;
}
dl {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 28px;
  margin: 0;
}
dl > div {
  display: flex;
  flex-direction: column-reverse;
}
dt {
  color: var(--ink-2);
  font-size: 12.5px;
}
dd {
  margin: 0;
  font: 500 28px/34px var(--head);
  font-variant-numeric: tabular-nums;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  min-height: 30px;
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
}
.take {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  justify-content: space-between;
  align-items: center;
  padding-top: 8px;
}
.share {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 160px 48px;
  gap: 12px;
  align-items: center;
}
.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.bar {
  height: 10px;
  background: var(--sheet);
}
.bar > span {
  display: block;
  height: 100%;
  background: var(--ink-3);
}
.percent {
  text-align: right;
  font-variant-numeric: tabular-nums;
}
@media (width < 860px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
    gap: 24px;
  }
}
</style>
