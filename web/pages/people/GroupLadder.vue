<script setup lang="ts">
import { computed, shallowRef } from 'vue';
import { ratioInWords } from '#core/breath';
import { ladderGates, type Practised } from '#core/review';
import { listPractisedOf } from '../../client/practised';
import { useSettings } from '../../state/settings';
import RecordTable from '../../ui/RecordTable.vue';
import { gateInWords } from './gate-words';

/** How far a group has come on the ladder of ratios, counted from the reviews of its sessions. */
const { group } = defineProps<{ group: string }>();

const settings = useSettings();
void settings.ready();
const sessions = shallowRef<readonly Practised[]>();
const trouble = shallowRef('');
listPractisedOf({ group: '', groupId: group }).then(
  (found) => (sessions.value = found),
  (error: Error) => (trouble.value = error.message),
);
const rows = computed(() =>
  ladderGates(settings.current.breath.ladder, sessions.value ?? []).map((rung, i) => ({
    id: String(i),
    ratio: ratioInWords(rung.ratio),
    easy: rung.easyHere,
    open: rung.open,
    says: gateInWords(rung),
  })),
);
const anyEasy = computed(() => rows.value.some(({ easy }) => easy > 0));
type Row = (typeof rows.value)[number];
const COLUMNS = [
  { key: 'ratio', label: 'Ratio', of: ({ ratio }: Row) => ratio },
  { key: 'easy', label: 'Easy sessions', number: true, of: ({ easy }: Row) => easy },
  { key: 'open', label: 'Open', of: ({ open }: Row) => (open ? 'yes' : 'not yet') },
  { key: 'says', label: 'When' },
];
</script>

<template>
  <section aria-label="Breath ratios">
    <h2>Breath ratios</h2>
    <p v-if="trouble" class="caution small" role="alert">{{ trouble }}</p>
    <template v-else-if="sessions">
      <p class="small quiet">
        {{
          anyEasy
            ? 'Counted from the reviews of their sessions.'
            : 'No easy sessions yet: in the review of a session you can note how easy the breath was.'
        }}
        The ladder is in the <RouterLink to="/settings">settings</RouterLink>.
      </p>
      <RecordTable
        name="group-ratios"
        label="Breath ratios"
        :columns="COLUMNS"
        :rows="rows"
        unsearched
        :is-quiet="({ open }) => !open"
      >
        <template #ratio="{ row }"
          ><span class="one-line">{{ row.ratio }}</span></template
        >
        <template #open="{ row }">{{ row.open ? 'yes' : 'not yet' }}</template>
        <template #says="{ row }"
          ><span class="quiet">{{ row.says }}</span></template
        >
      </RecordTable>
    </template>
  </section>
</template>

<style scoped>
section {
  max-width: 720px;
  margin-top: 12px;
}
h2 {
  font-size: 19px;
  line-height: 26px;
}
.one-line {
  white-space: nowrap;
}
</style>
