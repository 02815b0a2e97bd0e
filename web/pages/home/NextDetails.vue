<script setup lang="ts">
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { propNeeds } from '#core/cupboard';
import { pieceCount } from '#core/props';
import { compileTimeline } from '#core/timeline';
import type { ListedPlan } from '#api';
import { useChosenPlan } from '../../state/chosen-plan';
import { useLibrary } from '../../state/library';
import AppIcon from '../../ui/AppIcon.vue';
import SessionRibbon from '../../widgets/ribbon/SessionRibbon.vue';
import { spareInWords } from '../../widgets/session/words';
import CautionSummary from './CautionSummary.vue';
import FigureFrieze from './FigureFrieze.vue';
import NextSkeleton from './NextSkeleton.vue';

/** The figures and the ribbon of the plan that is taught next, and what needs attention before it. */
const { listed, startMs } = defineProps<{ listed: ListedPlan; startMs: number }>();

const router = useRouter();
const library = useLibrary();
const { plan, trouble } = useChosenPlan(ref(listed.id));
/** Drawn once, with the custom entries it is made from. */
const isReady = ref(false);
void library.ready().then(() => (isReady.value = true));

const timeline = computed(() => (plan.value && isReady.value ? compileTimeline(plan.value, library.all) : undefined));
const checks = computed(() => {
  if (!timeline.value) return [];
  const { totals, notes } = timeline.value;
  return [
    ...(totals.spareMs < 0 ? [`${spareInWords({ totals })}.`] : []),
    ...notes
      .slice(0, 2)
      .map(
        ({ stepIndex, message }) =>
          `${plan.value?.steps[stepIndex]?.name}: ${message.charAt(0).toLowerCase()}${message.slice(1)}`,
      ),
  ];
});
const bring = computed(() =>
  timeline.value
    ? propNeeds(timeline.value, listed.summary.groupSize).map(({ kind, group }) => pieceCount(kind, group))
    : [],
);
</script>

<template>
  <p v-if="trouble" class="caution" role="alert">The ribbon could not be loaded. {{ trouble }}</p>
  <NextSkeleton v-else-if="!plan || !timeline" />
  <template v-else>
    <FigureFrieze :plan="plan" />
    <SessionRibbon :plan="plan" :timeline="timeline" :start-ms="startMs" @select="router.push(`/plans/${listed.id}`)" />
    <div class="foot">
      <p v-for="check in checks" :key="check" class="caution strong check">
        <AppIcon name="warn" :size="16" />{{ check }}
      </p>
      <CautionSummary v-if="plan.groupId" :plan-id="listed.id" :plan="plan" />
      <p v-if="bring.length > 0" class="quiet bring">Bring {{ bring.join(', ') }}</p>
    </div>
  </template>
</template>

<style scoped>
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
</style>
