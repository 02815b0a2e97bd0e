<script setup lang="ts">
import Button from 'primevue/button';
import { computed, defineAsyncComponent } from 'vue';
import { useRouter } from 'vue-router';
import { propNeeds } from '#core/cupboard';
import { pieceCount } from '#core/props';
import { clockOfMs } from '#core/time';
import type { Timeline } from '#core/timeline';
import type { StoredPlan } from '#api';
import AppIcon from '../../ui/AppIcon.vue';
import FigureFrieze from './FigureFrieze.vue';
import { clockTime, startInWords } from '../../ui/dates';
import SessionRibbon from '../../widgets/ribbon/SessionRibbon.vue';
import { people, spareInWords } from '../../widgets/session/words';

/** The plan that is taught next, with what needs attention before it. */
const { stored, timeline } = defineProps<{ stored: StoredPlan; timeline: Timeline }>();

// Screening is loaded after the page: it is not what opens it.
const CautionSummary = defineAsyncComponent(() => import('./CautionSummary.vue'));

const router = useRouter();
const plan = computed(() => stored.document);
const startMs = computed(() => new Date(plan.value.startsAt ?? '').getTime());
const ends = computed(() => clockTime(startMs.value + timeline.totals.targetMs));
const about = computed(() =>
  [
    plan.value.group ? `${plan.value.group}, ${people(plan.value.groupSize)}` : people(plan.value.groupSize),
    plan.value.place,
    `${clockOfMs(timeline.totals.totalMs)}, ${spareInWords(timeline)}`,
  ]
    .filter(Boolean)
    .join(' · '),
);
const checks = computed(() => [
  ...(timeline.totals.spareMs < 0 ? [`${spareInWords(timeline)}.`] : []),
  ...timeline.notes
    .slice(0, 2)
    .map(
      ({ stepIndex, message }) =>
        `${plan.value.steps[stepIndex]?.name}: ${message.charAt(0).toLowerCase()}${message.slice(1)}`,
    ),
]);
const bring = computed(() =>
  propNeeds(timeline, plan.value.groupSize).map(({ kind, group }) => pieceCount(kind, group)),
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
      <Button label="Open the plan" outlined class="big" @click="router.push(`/plans/${stored.id}`)" />
      <Button label="Teach this one" class="big main" @click="router.push(`/teach/${stored.id}`)" />
    </div>
    <FigureFrieze :plan="plan" />
    <SessionRibbon :plan="plan" :timeline="timeline" :start-ms="startMs" @select="router.push(`/plans/${stored.id}`)" />
    <div class="foot">
      <p v-for="check in checks" :key="check" class="caution strong check">
        <AppIcon name="warn" :size="16" />{{ check }}
      </p>
      <CautionSummary v-if="stored.document.groupId" :stored="stored" />
      <p v-if="bring.length > 0" class="quiet bring">Bring {{ bring.join(', ') }}</p>
    </div>
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
.foot {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 28px;
  margin-top: 6px;
}
.check {
  display: flex;
  gap: 8px;
  align-items: center;
}
.bring {
  margin-left: auto;
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
