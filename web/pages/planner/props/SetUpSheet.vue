<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Plan } from '#core/plan';
import type { Timeline } from '#core/timeline';
import { classInWords } from '../../../widgets/session/words';
import SheetGrid from './SheetGrid.vue';
import { generalCautions, isUnscreened, LEVEL_WORDS, NOT_ADVICE, STOP_SIGNS } from '#core/caution';
import { useLibrary } from '../../../state/library';
import { useKnowledge } from '../../../state/knowledge';
import { usePeople } from '../../../state/people';
import { useScreening } from '../../../state/screening';
import { sheetCells } from './sheet';
import CheckField from '../../../ui/fields/CheckField.vue';

/** One page for those who lay the room out: each position with its props, per person and for the whole group. */
const { plan, timeline } = defineProps<{ plan: Plan; timeline: Timeline }>();

const library = useLibrary();
const known = useKnowledge();
const people = usePeople();
const screening = useScreening();
const cells = computed(() => sheetCells(plan, timeline, library.all));
/** Alternatives for individual people are on the sheet only if the teacher wants them there. */
const withPeople = ref(false);
const NOT_SCREENED = 'not screened';
const careful = computed(
  () =>
    new Map(
      plan.steps.map((step) => {
        if (isUnscreened(step, known.knowledge)) return [step.id, [NOT_SCREENED]];
        const avoid = generalCautions(step, known.knowledge).filter(({ level }) => level === 'avoid');
        return [step.id, avoid.map(({ condition }) => condition.name.toLowerCase())];
      }),
    ),
);
const instead = computed(
  () =>
    new Map(
      plan.steps.map((step, i) => [
        step.id,
        (screening.matrix?.rows ?? []).flatMap(({ personId, cells: row }) => {
          const cell = row[i];
          return cell?.state === 'instead' && cell.step ? [`${people.shown(personId)}: ${cell.step.name}`] : [];
        }),
      ]),
    ),
);
const anyInstead = computed(() => [...instead.value.values()].some((all) => all.length > 0));
</script>

<template>
  <article class="sheet">
    <header>
      <h2 class="sheet-title">Set-ups: {{ plan.title }}</h2>
      <p class="quiet">{{ classInWords(plan) }}</p>
    </header>
    <p v-if="anyInstead" class="screen-only">
      <CheckField
        v-model="withPeople"
        :label="`with what individuals do instead, by ${people.showNames ? 'name' : 'initials'}`"
      />
      <span v-if="withPeople" class="caution small" role="status">
        This is printed: what somebody does differently lets others guess why. No condition is printed.</span
      >
    </p>
    <p v-if="cells.length === 0" class="quiet">No step of this plan has props.</p>
    <SheetGrid v-else :cells="cells">
      <template #default="{ cell }">
        <ul>
          <li v-for="row in cell.rows" :key="row">{{ row }}</li>
        </ul>
        <p v-for="change in cell.changes" :key="change" class="change">{{ change }}</p>
        <p v-if="cell.other" class="change">{{ cell.other }}</p>
        <p v-if="cell.step.note" class="note">{{ cell.step.note }}</p>
        <template v-if="withPeople">
          <p v-for="line in instead.get(cell.step.id)" :key="line" class="strong">{{ line }}</p>
        </template>
        <p v-if="cell.group" class="strong">{{ cell.group }}</p>
        <p v-if="careful.get(cell.step.id)?.length" class="quiet">
          {{
            careful.get(cell.step.id)?.includes(NOT_SCREENED)
              ? 'Not screened for cautions.'
              : `${LEVEL_WORDS.avoid} with ${careful.get(cell.step.id)?.join(', ')}`
          }}
        </p>
      </template>
    </SheetGrid>
    <p class="small quiet">{{ NOT_ADVICE }} {{ STOP_SIGNS }}</p>
  </article>
</template>

<style scoped>
.change {
  font-style: italic;
}
.note {
  white-space: pre-line;
}
</style>
