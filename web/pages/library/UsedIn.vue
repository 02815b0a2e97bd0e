<script setup lang="ts">
import { shallowRef, watch } from 'vue';
import type { ListedPlan } from '#api';
import { listPlansUsing } from '../../client/plans';

/** The plans that use a library entry. */
const { entry } = defineProps<{ entry: string }>();

const MOST = 20;
const using = shallowRef<readonly ListedPlan[]>();
const total = shallowRef(0);
const trouble = shallowRef('');
watch(
  () => entry,
  async (wantedEntry) => {
    try {
      const found = await listPlansUsing(wantedEntry, MOST);
      if (wantedEntry === entry) [using.value, total.value, trouble.value] = [found.items, found.total, ''];
    } catch (error) {
      trouble.value = (error as Error).message;
    }
  },
  { immediate: true },
);
</script>

<template>
  <section>
    <h2>In your plans</h2>
    <p v-if="trouble" class="caution">{{ trouble }}</p>
    <p v-else-if="using?.length === 0" class="quiet">Not used in a plan yet.</p>
    <ul>
      <li v-for="plan in using" :key="plan.id">
        <RouterLink :to="`/plans/${plan.id}`">{{ plan.summary.title }}</RouterLink>
      </li>
    </ul>
    <p v-if="using && total > using.length" class="small quiet">and {{ total - using.length }} more.</p>
  </section>
</template>

<style scoped>
h2 {
  margin-top: 18px;
  font-size: 19px;
  line-height: 24px;
}
li a {
  display: inline-block;
  min-height: 26px;
  padding: 2px 0;
}
</style>
