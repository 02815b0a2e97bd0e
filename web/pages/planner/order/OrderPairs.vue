<script setup lang="ts">
import { computed, ref } from 'vue';
import { setOrderPairs, type Plan } from '#core/plan';
import SelectField from '../../../ui/fields/SelectField.vue';
import IconButton from '../../../ui/IconButton.vue';
import { useEditor } from '../../../state/editor';

/** Which step of this plan comes before which, whatever else an order is chosen for. */
const { plan } = defineProps<{ plan: Plan }>();
const editor = useEditor();

const options = computed(() => plan.steps.map(({ id, name }, i) => ({ value: id, label: `${i + 1} ${name}` })));
const [before, after, reason] = [ref(''), ref(''), ref('')];
const nameOf = (id: string): string | undefined => plan.steps.find((step) => step.id === id)?.name;
/** Rules about steps that are gone say nothing, and are not shown. */
const pairs = computed(() =>
  plan.orderPairs.flatMap((pair, at) => {
    const [first, second] = [nameOf(pair.before), nameOf(pair.after)];
    return first && second ? [{ at, first, second }] : [];
  }),
);
function add(): void {
  if (!before.value || !after.value) return void (reason.value = 'Choose both steps.');
  if (before.value === after.value) return void (reason.value = 'A step cannot come before itself.');
  const same = plan.orderPairs.some((pair) => pair.before === before.value && pair.after === after.value);
  reason.value = same
    ? 'That rule exists already.'
    : (editor.edit(setOrderPairs([...plan.orderPairs, { before: before.value, after: after.value }]))[0]?.reason ?? '');
  if (reason.value === '') [before.value, after.value] = ['', ''];
}
const remove = (at: number): void => void editor.edit(setOrderPairs(plan.orderPairs.toSpliced(at, 1)));
</script>

<template>
  <section aria-labelledby="pairs-title">
    <h3 id="pairs-title">Required order</h3>
    <ul v-if="pairs.length > 0">
      <li v-for="{ at, first, second } in pairs" :key="at">
        <span
          ><strong>{{ first }}</strong> before <strong>{{ second }}</strong></span
        >
        <IconButton icon="remove" :size="16" :label="`Remove ${first} before ${second}`" @click="remove(at)" />
      </li>
    </ul>
    <form class="add" @submit.prevent="add">
      <SelectField v-model="before" label="Before" hide-label :options="[{ value: '', label: 'a step' }, ...options]" />
      before
      <SelectField v-model="after" label="After" hide-label :options="[{ value: '', label: 'another' }, ...options]" />
      <button type="submit" class="link-button">Add</button>
    </form>
    <p v-if="reason" class="small caution" role="alert">{{ reason }}</p>
  </section>
</template>

<style scoped>
h3 {
  font-size: 19px;
  line-height: 28px;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  min-height: 33px;
  border-bottom: 1px solid var(--line);
}
strong {
  font-weight: 600;
}
.add {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  padding-top: 8px;
}
.add :deep(select) {
  max-width: 190px;
}
</style>
