<script setup lang="ts">
import Button from 'primevue/button';
import { watchDebounced } from '@vueuse/core';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { brokenInWords, heldBackInWords, proofInWords, savedInWords, takeOrder } from '#core/order';
import type { Plan } from '#core/plan';
import { compileTimeline, type Timeline } from '#core/timeline';
import { useJob } from '../../arrange/use-job';
import { useEditor } from '../../stores/editor';
import { useHouse } from '../../stores/house';
import { useLibrary } from '../../stores/library';
import AtWork from './AtWork.vue';
import OrderPairs from './OrderPairs.vue';
import OrderRows from './OrderRows.vue';
import OrderRulesFields from './OrderRulesFields.vue';
import TwoRibbons from './TwoRibbons.vue';
import { useVariants } from './use-variants';

/** A quieter order: before and after, what it saves, what it breaks, and which rule held it back. */
const { plan, timeline } = defineProps<{ plan: Plan; timeline: Timeline }>();
const editor = useEditor();
const house = useHouse();
const library = useLibrary();
const router = useRouter();
const job = useJob('order');
const why = useJob('heldBack');
const variants = useVariants(editor.id);
const chosen = ref<string>();
const said = ref('');

const rules = computed(() => house.rules.order);
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
  const next = takeOrder(order.value.after.stepIds).apply(plan);
  return { plan: next, timeline: compileTimeline(next, library.all) };
});
const stepIds = computed(() => order.value?.after.stepIds ?? plan.steps.map(({ id }) => id));
const moved = computed(() => stepIds.value.some((id, i) => plan.steps[i]?.id !== id));
const saved = computed(() => (order.value ? savedInWords(order.value) : ''));

function take(): void {
  editor.edit(takeOrder(stepIds.value));
  editor.seal();
  said.value = 'Taken. Undo brings the order back.';
}
async function keep(): Promise<void> {
  if (after.value) said.value = await variants.keep('Quieter order', after.value.plan);
}
</script>

<template>
  <TwoRibbons :before="{ plan, timeline }" :after="after" :chosen="chosen" @choose="chosen = $event">
    {{ refusal ?? (job.share.value !== null ? 'Looking for a quieter order.' : '') }}
  </TwoRibbons>
  <div class="verdict">
    <p v-if="refusal" class="caution strong" role="alert">{{ refusal }}</p>
    <p v-else-if="order" role="status">
      <strong>{{ moved ? (saved ? `${saved}.` : 'As quiet as before.') : 'It stays as it is.' }}</strong>
      {{ proofInWords(order) }}
    </p>
    <AtWork
      :share="job.share.value"
      :trouble="job.trouble.value"
      what="Looking for a quieter order"
      @stop="job.stop"
      @again="ask"
    />
    <span class="end">
      <span class="small quiet" role="status">{{ said }}</span>
      <Button v-if="moved" label="Keep as a variant" outlined size="small" @click="keep" />
      <Button label="Leave it" outlined size="small" @click="router.push(`/plans/${editor.id}`)" />
      <Button label="Take it" size="small" :disabled="!moved" @click="take" />
    </span>
  </div>
  <div class="columns">
    <div>
      <OrderRows v-model:chosen="chosen" :plan="plan" :step-ids="stepIds" />
      <template v-if="order">
        <ul v-if="order.after.broken.length > 0" class="broken" aria-label="Rules that are not kept">
          <li v-for="(rule, i) in order.after.broken" :key="i" class="caution">{{ brokenInWords(rule) }}</li>
        </ul>
        <section v-if="why.answer.value && why.answer.value.length > 0" aria-labelledby="held-title">
          <h3 id="held-title">What holds it back</h3>
          <ul>
            <li v-for="(one, i) in why.answer.value" :key="i">
              {{ heldBackInWords(plan, one, order.after.tally) }}
            </li>
          </ul>
        </section>
        <p v-else-if="why.answer.value" class="quiet small held">No single rule holds it back.</p>
        <AtWork
          :share="why.share.value"
          :trouble="why.trouble.value"
          what="Looking at what holds it back"
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
.verdict {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
  min-height: 34px;
}
.end {
  display: flex;
  gap: 8px;
  align-items: center;
  margin-left: auto;
}
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
