<script setup lang="ts">
import { computed, ref } from 'vue';
import { isUnscreened, openLevel, worse, type Level } from '#core/caution';
import { useKnowledge } from '../../../state/knowledge';
import { isBare, cellInWords } from '../cautions/words';
import CautionMark from '../../../widgets/cautions/CautionMark.vue';
import DecideFor from '../cautions/DecideFor.vue';
import GeneralCautions from '../../../widgets/cautions/GeneralCautions.vue';
import NotAdvice from '../../../widgets/cautions/NotAdvice.vue';
import { useEditor } from '../../../state/editor';
import { useScreening } from '../../../state/screening';

/** Whom of the group a step is about, and what is usually said of it. */
const { index } = defineProps<{ index: number }>();

const editor = useEditor();
const screening = useScreening();
const known = useKnowledge();
const step = computed(() => editor.plan?.steps[index]);
const concerned = computed(() =>
  (screening.matrix?.rows ?? []).flatMap(({ personId, cells }) => {
    const cell = cells[index];
    return cell && !isBare(cell) ? [{ personId, cell, words: cellInWords(cell) }] : [];
  }),
);
/** What is said once for the class and concerns this step too. */
const inClass = computed(() => {
  const lines = new Map<string, { who: string[]; level: Level }>();
  for (const { personId, session } of screening.matrix?.rows ?? []) {
    if (openLevel(session) === null) continue;
    for (const caution of session.cautions) {
      if (!('steps' in caution) || !(caution.steps as readonly number[]).includes(index)) continue;
      const { words } = caution.rule.instead;
      const known = lines.get(words);
      lines.set(words, {
        who: [...(known?.who ?? []), screening.shown(personId)],
        level: worse(known?.level ?? null, caution.level) ?? caution.level,
      });
    }
  }
  return [...lines].map(([words, { who, level }]) => ({ words, who: who.join(', '), level }));
});
const isBlind = computed(() => step.value !== undefined && isUnscreened(step.value, known.knowledge));
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
        <strong>{{ screening.shown(one.personId) }}</strong> {{ one.words }}
      </button>
    </div>
    <p v-else-if="!isBlind && screening.group && inClass.length === 0" class="small quiet">
      No cautions for this group.
    </p>
    <ul v-if="inClass.length > 0" class="small in-class" aria-label="For the class">
      <li v-for="line in inClass" :key="line.words">
        <CautionMark :level="line.level" />
        <span>
          <strong>{{ line.who }}</strong> {{ line.words }} <span class="quiet">Said once for the class.</span>
        </span>
      </li>
    </ul>
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
.in-class li {
  display: grid;
  grid-template-columns: 16px minmax(0, 1fr);
  gap: 6px;
  padding: 2px 0;
}
.in-class .mark {
  margin-top: 2px;
}
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
