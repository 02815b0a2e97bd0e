<script setup lang="ts">
import { watchDebounced } from '@vueuse/core';
import { computed, ref } from 'vue';
import { brokenInWords, heldBackInWords, proofInWords, savedInWords } from '#core/order';
import { editedPlan, takeOrder, type Plan } from '#core/plan';
import { compileTimeline, type Timeline } from '#core/timeline';
import { useJob } from '../../../widgets/jobs/use-job';
import { useSettings } from '../../../state/settings';
import { useLibrary } from '../../../state/library';
import JobProgress from '../../../widgets/jobs/JobProgress.vue';
import OrderPairs from './OrderPairs.vue';
import OrderRows from './OrderRows.vue';
import OrderRulesFields from './OrderRulesFields.vue';
import ProposalActions from '../ProposalActions.vue';
import TwoRibbons from '../TwoRibbons.vue';

/** A quieter order: before and after, what it saves, what it breaks, and which rule held it back. */
const { plan, timeline } = defineProps<{ plan: Plan; timeline: Timeline }>();
const settings = useSettings();
const library = useLibrary();
const job = useJob('order');
const why = useJob('heldBack');
const chosen = ref<string>();

const rules = computed(() => settings.current.order);
async function ask(): Promise<void> {
  why.answer.value = undefined;
  const order = await job.ask(plan, library.all, { rules: rules.value });
  if (order?.kind === 'ordered') void why.ask(plan, library.all, { rules: rules.value, order });
}
watchDebounced([() => plan, rules], ask, { debounce: 120, immediate: true });

const order = computed(() => (job.answer.value?.kind === 'ordered' ? job.answer.value : undefined));
const refusal = computed(() => (job.answer.value?.kind === 'refused' ? job.answer.value.issues[0]?.reason : undefined));
const after = computed(() => {
  if (!order.value) return undefined;
  const next = editedPlan(plan, takeOrder(order.value.after.stepIds));
  return { plan: next, timeline: compileTimeline(next, library.all) };
});
const stepIds = computed(() => order.value?.after.stepIds ?? plan.steps.map(({ id }) => id));
const moved = computed(() => stepIds.value.some((id, i) => plan.steps[i]?.id !== id));
const saved = computed(() => (order.value ? savedInWords(order.value) : ''));
</script>

<template>
  <TwoRibbons :before="{ plan, timeline }" :after="after" :chosen="chosen" @choose="chosen = $event">
    {{ refusal ?? (job.share.value !== null ? 'Looking for a smoother order…' : '') }}
  </TwoRibbons>
  <ProposalActions :edit="moved ? takeOrder(stepIds) : undefined" name="Quieter order" :after="after?.plan">
    <p v-if="refusal" class="caution strong" role="alert">{{ refusal }}</p>
    <p v-else-if="order" role="status">
      <strong>{{ moved ? (saved ? `${saved}.` : 'As smooth as before.') : 'It stays as it is.' }}</strong>
      {{ proofInWords(order) }}
    </p>
    <JobProgress
      :share="job.share.value"
      :trouble="job.trouble.value"
      what="Looking for a smoother order"
      @stop="job.stop"
      @again="ask"
    />
  </ProposalActions>
  <div class="columns">
    <div>
      <OrderRows v-model:chosen="chosen" :plan="plan" :step-ids="stepIds" />
      <template v-if="order">
        <ul v-if="order.after.broken.length > 0" class="broken" aria-label="Rules that are broken">
          <li v-for="(rule, i) in order.after.broken" :key="i" class="caution">{{ brokenInWords(rule) }}</li>
        </ul>
        <section v-if="why.answer.value && why.answer.value.length > 0" aria-labelledby="held-title">
          <h3 id="held-title">Rules that limit it</h3>
          <ul>
            <li v-for="(one, i) in why.answer.value" :key="i">
              {{ heldBackInWords(plan, one, order.after.tally) }}
            </li>
          </ul>
        </section>
        <p v-else-if="why.answer.value" class="quiet small held">No single rule limits it.</p>
        <JobProgress
          :share="why.share.value"
          :trouble="why.trouble.value"
          what="Looking for the rules that limit it"
          @stop="why.stop"
          @again="ask"
        />
      </template>
    </div>
    <div class="rules">
      <OrderPairs :plan="plan" />
      <OrderRulesFields :approach="plan.approach" />
    </div>
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 48px;
}
.rules {
  display: flex;
  flex-direction: column;
  gap: 18px;
}
h3 {
  margin-top: 14px;
  font-size: 19px;
  line-height: 28px;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  padding: 5px 0;
  border-bottom: 1px solid var(--line);
}
.broken,
.held {
  margin-top: 12px;
}
@media (width < 860px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
    gap: 24px;
  }
}
</style>
