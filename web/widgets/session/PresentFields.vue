<script setup lang="ts">
import { computed } from 'vue';
import { usePeople } from '../../state/people';
import NumberField from '../../ui/fields/NumberField.vue';
import CheckField from '../../ui/fields/CheckField.vue';

/** Who is there: people by name, and how many besides. */
const { people, others = null } = defineProps<{
  people: readonly string[];
  /** How many besides; null if that is not asked. */
  others?: number | null;
}>();
const emit = defineEmits<{ change: [people: string[], others: number] }>();

const MOST = 500;
const store = usePeople();
void store.load();
const known = computed(() => store.people ?? []);
const gone = computed(() => people.filter((id) => store.people !== undefined && !store.byId.has(id)).length);
const toggle = (id: string): void =>
  emit('change', people.includes(id) ? people.filter((one) => one !== id) : [...people, id], others ?? 0);
function setOthers(count: number): string | undefined {
  if (!Number.isInteger(count) || count < 0) return 'A whole number from 0.';
  if (count > MOST) return `At most ${MOST}.`;
  emit('change', [...people], count);
  return undefined;
}
</script>

<template>
  <div class="present">
    <p v-if="store.trouble" class="caution small" role="alert">
      {{ store.trouble }} <button type="button" class="link-button" @click="store.load()">Try again</button>
    </p>
    <div class="chips" role="group" aria-label="Who is there">
      <button v-for="{ id } in known" :key="id" type="button" :aria-pressed="people.includes(id)" @click="toggle(id)">
        {{ store.shown(id) }}
      </button>
      <span v-if="gone > 0" class="quiet small"
        >and {{ gone }} who {{ gone === 1 ? 'is' : 'are' }} could not be found</span
      >
      <span v-if="store.people?.length === 0" class="quiet small">No people have been added yet.</span>
    </div>
    <CheckField v-if="known.length > 0" v-model="store.showNames" class="small quiet" label="names" />
    <NumberField v-if="others !== null" label="and others" :model-value="others" :accept="setOthers" />
  </div>
</template>

<style scoped>
.present {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  align-items: center;
}
</style>
