<script setup lang="ts">
import { computed, ref } from 'vue';
import { isBare, cellInWords } from '../cautions/words';
import CautionMark from '../../../widgets/cautions/CautionMark.vue';
import DecideFor from '../cautions/DecideFor.vue';
import GeneralCautions from '../../../widgets/cautions/GeneralCautions.vue';
import NotAdvice from '../../../widgets/cautions/NotAdvice.vue';
import { useEditor } from '../../../state/editor';
import { usePeople } from '../../../state/people';
import { useScreening } from '../../../state/screening';

/** Whom of the group a step is about, and what is usually said of it. */
const { index } = defineProps<{ index: number }>();

const editor = useEditor();
const people = usePeople();
const screening = useScreening();
const step = computed(() => editor.plan?.steps[index]);
const concerned = computed(() =>
  (screening.matrix?.rows ?? []).flatMap(({ personId, cells }) => {
    const cell = cells[index];
    return cell && !isBare(cell) ? [{ personId, cell, words: cellInWords(cell) }] : [];
  }),
);
const open = ref('');
const chosen = computed(() => concerned.value.find(({ personId }) => personId === open.value));
</script>

<template>
  <section v-if="step && editor.plan" class="step-cautions" aria-label="Cautions">
    <div v-if="concerned.length > 0" class="people">
      <button
        v-for="one in concerned"
        :key="one.personId"
        type="button"
        :aria-expanded="open === one.personId"
        @click="open = open === one.personId ? '' : one.personId"
      >
        <CautionMark :level="one.cell.insteadLevel ?? one.cell.level" :state="one.cell.state" />
        <strong>{{ people.shown(one.personId) }}</strong> {{ one.words }}
      </button>
    </div>
    <p v-else-if="screening.group" class="small quiet">No cautions for this group.</p>
    <DecideFor
      v-if="chosen"
      :key="chosen.personId"
      :plan="editor.plan"
      :person-id="chosen.personId"
      :step-id="step.id"
      :cell="chosen.cell"
    />
    <GeneralCautions :step="step" open />
    <NotAdvice />
  </section>
</template>

<style scoped>
.step-cautions {
  display: flex;
  flex-direction: column;
  gap: 6px;
  padding-top: 6px;
}
.people {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
}
.people button {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  min-height: 28px;
  padding: 0 9px;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
  background: none;
  font-size: 13.5px;
  cursor: pointer;
}
.people button[aria-expanded='true'] {
  border-color: var(--ink);
  box-shadow: inset 0 0 0 1px var(--ink);
}
@media (pointer: coarse) {
  .people button {
    min-height: 44px;
  }
}
</style>
