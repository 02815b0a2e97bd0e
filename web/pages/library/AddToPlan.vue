<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { computed, ref, shallowRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import type { ListedPlan } from '#api';
import { listAllPlans } from '../../client/plans';
import { useChosenPlan } from '../../state/chosen-plan';
import { useOpenPlan } from '../../state/open-plan';
import SelectField from '../../ui/fields/SelectField.vue';

/** Puts an entry into a plan, at a place that is chosen. The plan opens with it, and takes it back by its own undo. */
const { entry, name } = defineProps<{ entry: string; name: string }>();

const router = useRouter();
const opened = useOpenPlan();
const visible = ref(false);
const plans = shallowRef<readonly ListedPlan[]>();
const trouble = ref('');
const chosenId = ref('');
const at = ref(0);
const { plan, trouble: planTrouble } = useChosenPlan(chosenId);

async function open(): Promise<void> {
  visible.value = true;
  try {
    plans.value = await listAllPlans({ archived: false });
    trouble.value = '';
    const known = plans.value.some(({ id }) => id === opened.id);
    chosenId.value = known ? opened.id : (plans.value[0]?.id ?? '');
  } catch (error) {
    trouble.value = (error as Error).message;
  }
}
const places = computed(() => [
  { value: 0, label: 'At the beginning' },
  ...(plan.value?.steps ?? []).map((step, i) => ({ value: i + 1, label: `After ${i + 1}. ${step.name}` })),
]);
watch(plan, (now) => (at.value = now?.steps.length ?? 0));

async function add(): Promise<void> {
  visible.value = false;
  await router.push({ path: `/plans/${chosenId.value}`, query: { add: entry, at: String(at.value) } });
}
</script>

<template>
  <Button label="Add to a plan" size="small" @click="open" />
  <Dialog
    v-model:visible="visible"
    modal
    :header="`Add “${name}” to a plan`"
    dismissable-mask
    :style="{ width: '460px' }"
  >
    <p v-if="trouble || planTrouble" class="caution" role="alert">{{ trouble || planTrouble }}</p>
    <p v-if="plans?.length === 0" class="quiet">
      There is no plan yet. <RouterLink to="/" @click="visible = false">Make one</RouterLink> first.
    </p>
    <form v-else-if="plans" @submit.prevent="add">
      <SelectField
        v-model="chosenId"
        above
        label="Plan"
        :options="plans.map(({ id, summary }) => ({ value: id, label: summary.title }))"
      />
      <SelectField v-model="at" above label="Where" :options="places" />
      <Button type="submit" label="Add and open the plan" :disabled="!plan" />
    </form>
  </Dialog>
</template>

<style scoped>
form {
  display: grid;
  gap: 14px;
  justify-items: start;
}
</style>
