<script setup lang="ts">
import { useEditor } from '../../../state/editor';
import PlanViews from '../PlanViews.vue';
import ForecastView from '../forecast/ForecastView.vue';
import LengthsView from './LengthsView.vue';
import OrderView from '../order/OrderView.vue';
import VariantsView from '../variants/VariantsView.vue';

/** Making a plan fit: its lengths to the hour, a quieter order, when it would end, and variants beside each other. */
const VIEWS = [
  { value: 'lengths', label: 'Fit' },
  { value: 'order', label: 'Order' },
  { value: 'forecast', label: 'End time' },
  { value: 'variants', label: 'Variants' },
] as const;
const editor = useEditor();
</script>

<template>
  <PlanViews v-slot="{ view, plan, timeline }" :views="VIEWS">
    <p v-if="plan.steps.length === 0" class="quiet none">
      This plan has no steps yet. <RouterLink :to="`/plans/${editor.id}`">Add some</RouterLink>, then they can be
      fitted.
    </p>
    <LengthsView v-else-if="view === 'lengths'" :plan="plan" :timeline="timeline" />
    <OrderView v-else-if="view === 'order'" :plan="plan" :timeline="timeline" />
    <ForecastView v-else-if="view === 'forecast'" :plan="plan" :timeline="timeline" />
    <VariantsView v-else :plan="plan" />
  </PlanViews>
</template>

<style scoped>
.none {
  padding: 24px 0;
}
</style>
