<script setup lang="ts">
import { usePeople } from '../../../state/people';
import { useScreening } from '../../../state/screening';
import DocumentStatus from '../../../widgets/documents/DocumentStatus.vue';
import GroupPick from './GroupPick.vue';
import NotAdvice from '../../../widgets/cautions/NotAdvice.vue';
import PlanViews from '../PlanViews.vue';
import GeneralView from './GeneralView.vue';
import MatrixView from './MatrixView.vue';
import VersionView from './VersionView.vue';
import CheckField from '../../../ui/fields/CheckField.vue';

/** The people of a plan: who must not do what, their alternative, and the plan as one of them does it. */
const VIEWS = [
  { value: 'matrix', label: 'Everyone' },
  { value: 'one', label: 'For one person' },
  { value: 'general', label: 'In general' },
] as const;
const people = usePeople();
const screening = useScreening();
</script>

<template>
  <PlanViews :views="VIEWS">
    <template #head="{ plan }">
      <GroupPick :plan="plan" />
      <CheckField
        v-if="screening.group"
        v-model="people.showNames"
        class="small names"
        label="names instead of initials"
      />
    </template>
    <template #default="{ view, plan }">
      <DocumentStatus
        v-if="screening.synced"
        noun="set of decisions"
        :trouble="screening.synced.trouble.value"
        :conflict="screening.synced.conflict.value"
        :resolve="screening.synced.resolve"
        @save="screening.synced.save"
      />
      <p v-if="people.trouble && view !== 'general'" class="caution strong" role="alert">
        {{ people.trouble }} <button type="button" class="link-button" @click="people.load">Try again</button>
      </p>
      <GeneralView v-if="view === 'general'" :plan="plan" />
      <p v-else-if="!screening.group" class="empty">
        Choose a group above, and each step is checked for everyone in it: what to avoid, what to change, what to watch,
        and an easier way. Without a group, <em>In general</em> shows the usual cautions for each step.
      </p>
      <p v-else-if="screening.members.length === 0" class="empty">
        Nobody is in this group yet. <RouterLink :to="`/people/groups/${plan.groupId}`">Add people</RouterLink>.
      </p>
      <MatrixView v-else-if="view === 'matrix' && screening.matrix" :plan="plan" :matrix="screening.matrix" />
      <VersionView v-else-if="screening.matrix" :plan="plan" :matrix="screening.matrix" />
      <NotAdvice />
    </template>
  </PlanViews>
</template>

<style scoped>
.names {
  display: inline-flex;
  gap: 6px;
  align-items: center;
}
.empty {
  max-width: 620px;
  padding: 16px 0;
}
</style>
