<script setup lang="ts">
import Button from 'primevue/button';
import { computed, defineAsyncComponent } from 'vue';
import { useRouter } from 'vue-router';
import { clockOfMs } from '#core/time';
import type { ListedPlan } from '#api';
import NextSkeleton from './NextSkeleton.vue';
import { clockTime, startInWords } from '../../ui/dates';
import { people, spareInWords } from '../../widgets/session/words';

/** The plan that is taught next, to be opened or taught at once. */
const { listed } = defineProps<{ listed: ListedPlan }>();

// What is drawn with the library comes after the page can be used.
const NextDetails = defineAsyncComponent({
  loader: () => import('./NextDetails.vue'),
  loadingComponent: NextSkeleton,
  delay: 0,
});

const router = useRouter();
const plan = computed(() => listed.summary);
const startMs = computed(() => new Date(plan.value.startsAt ?? '').getTime());
const ends = computed(() => clockTime(startMs.value + plan.value.totals.targetMs));
const about = computed(() =>
  [
    plan.value.group ? `${plan.value.group}, ${people(plan.value.groupSize)}` : people(plan.value.groupSize),
    plan.value.place,
    `${clockOfMs(plan.value.totals.totalMs)}, ${spareInWords(plan.value)}`,
  ]
    .filter(Boolean)
    .join(' · '),
);
</script>

<template>
  <section class="next" aria-label="Next up">
    <div class="head">
      <div>
        <p class="quiet">Next: {{ startInWords(plan.startsAt) }} to {{ ends }}</p>
        <h2>{{ plan.title }}</h2>
        <p class="quiet">{{ about }}</p>
      </div>
      <Button label="Open the plan" outlined class="big" @click="router.push(`/plans/${listed.id}`)" />
      <Button label="Teach this one" class="big main" @click="router.push(`/teach/${listed.id}`)" />
    </div>
    <NextDetails :key="`${listed.id} ${listed.revision}`" :listed="listed" :start-ms="startMs" />
  </section>
</template>

<style scoped>
.next {
  padding: 16px 32px 18px;
  border-bottom: 1px solid var(--line-strong);
  background: var(--sheet);
  --paper: var(--sheet);
}
.head {
  display: flex;
  gap: 10px;
  align-items: center;
  margin-bottom: 14px;
}
.head > div {
  flex: 1;
  min-width: 0;
}
h2 {
  font-size: 38px;
  line-height: 42px;
  overflow-wrap: anywhere;
}
.big {
  height: 52px;
  padding: 0 20px;
  white-space: nowrap;
  font-weight: 600;
}
.main {
  font-size: 17px;
  padding: 0 28px;
}
@media (width < 760px) {
  .next {
    padding: 12px;
  }
  .head {
    flex-wrap: wrap;
  }
  .head > div {
    flex-basis: 100%;
  }
  h2 {
    font-size: 29px;
    line-height: 34px;
  }
}
</style>
