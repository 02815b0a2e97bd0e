<script setup lang="ts">
import Button from 'primevue/button';
import { people } from '../../../widgets/session/words';
import AppIcon from '../../../ui/AppIcon.vue';
import { useDemand } from '../../../state/demand';
import PlacePick from '../PlacePick.vue';
import PlanViews from '../PlanViews.vue';
import HomeSheet from './HomeSheet.vue';
import NeedsView from './NeedsView.vue';
import PackingView from './PackingView.vue';
import SetUpSheet from './SetUpSheet.vue';

/** The props of a plan: what the group needs, what to pack, how to lay it out, and how it goes at home. */
const VIEWS = [
  { value: 'needs', label: 'For the group' },
  { value: 'packing', label: 'Packing list' },
  { value: 'sheet', label: 'Set-up sheet' },
  { value: 'home', label: 'At home' },
] as const;
const demand = useDemand();
const print = (): void => window.print();
</script>

<template>
  <PlanViews :views="VIEWS">
    <template #head="{ plan }">
      <PlacePick :plan="plan" />
      <span class="quiet">{{ people(plan.groupSize) }}</span>
    </template>
    <template #end="{ view }">
      <Button v-if="view !== 'needs'" label="Print" size="small" @click="print"
        ><template #icon><AppIcon name="print" /></template
      ></Button>
    </template>
    <template #default="{ view, plan, timeline }">
      <p v-if="demand.tooMany" class="caution strong screen-only" role="alert">
        <AppIcon name="warn" :size="16" /> {{ demand.tooMany }}
      </p>
      <NeedsView v-if="view === 'needs'" :plan="plan" :timeline="timeline" />
      <PackingView v-else-if="view === 'packing'" :plan="plan" />
      <SetUpSheet v-else-if="view === 'sheet'" :plan="plan" :timeline="timeline" />
      <HomeSheet v-else :plan="plan" :timeline="timeline" />
    </template>
  </PlanViews>
</template>

<style scoped>
.caution {
  display: flex;
  gap: 6px;
  align-items: center;
}
</style>
