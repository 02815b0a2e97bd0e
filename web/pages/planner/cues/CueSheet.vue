<script setup lang="ts">
import { computed } from 'vue';
import type { Plan } from '#core/plan';
import { scriptOf, type ScriptLine } from '#core/script';
import { clockOfMs } from '#core/time';
import type { Timeline } from '#core/timeline';
import { useLibrary } from '../../../state/library';
import { clockTime } from '../../../ui/dates';
import { classInWords } from '../../../widgets/session/words';
import ScriptLines from '../../../widgets/script/ScriptLines.vue';

/** What is said in a plan, step by step, each line with its moment. */
const { path, plan, timeline } = defineProps<{ path: string; plan: Plan; timeline: Timeline }>();

const library = useLibrary();
const startsAtMs = computed(() => (plan.startsAt === null ? null : new Date(plan.startsAt).getTime()));
/** When a step begins by the clock on the wall; empty where the class has no time yet. */
const onTheWall = (atMs: number): string => (startsAtMs.value === null ? '' : clockTime(startsAtMs.value + atMs));

interface CueStep {
  id: string;
  number: number;
  startMs: number;
  name: string;
  note: string;
  lines: ScriptLine[];
}
const steps = computed((): CueStep[] => {
  const script = scriptOf(plan, timeline, library.all);
  return plan.steps.map(({ id }, index) => {
    const lines = script.filter(({ stepIndex }) => stepIndex === index);
    const textOf = (part: ScriptLine['part']) => lines.find((line) => line.part === part)?.text ?? '';
    return {
      id,
      number: index + 1,
      startMs: timeline.steps[index]?.startMs ?? 0,
      name: textOf('name'),
      note: textOf('note'),
      lines: lines.filter(({ part }) => part !== 'name' && part !== 'note'),
    };
  });
});
</script>

<template>
  <article class="sheet">
    <header>
      <h2 class="sheet-title">Cue sheet: {{ plan.title }}</h2>
      <p class="quiet">{{ classInWords(plan) }}. Times count from the beginning.</p>
    </header>
    <p v-if="steps.length === 0" class="quiet">
      This plan has no steps yet. <RouterLink :to="path">Add the first one</RouterLink>, and what you say in it stands
      here.
    </p>
    <ol v-else class="steps">
      <li v-for="step in steps" :key="step.id">
        <p class="name">
          <span class="begins quiet">{{ clockOfMs(step.startMs) }}</span>
          <span>{{ step.number }}. {{ step.name }}</span>
          <span class="wall quiet">{{ onTheWall(step.startMs) }}</span>
        </p>
        <p v-if="step.note" class="note">{{ step.note }}</p>
        <ScriptLines v-if="step.lines.length > 0" :lines="step.lines" />
      </li>
    </ol>
  </article>
</template>

<style scoped>
.steps {
  max-width: 820px;
  padding: 0;
  list-style: none;
}
.steps > li {
  padding: 8px 0 10px;
  border-top: 1px solid var(--line-strong);
  break-inside: avoid;
}
.name {
  display: flex;
  gap: 10px;
  font-weight: 600;
}
.begins {
  flex: none;
  width: 44px;
}
.wall {
  flex: none;
  margin-left: auto;
}
.begins,
.wall {
  font-weight: 400;
  font-variant-numeric: tabular-nums;
}
.note {
  padding-left: 54px;
  font-style: italic;
  white-space: pre-line;
}
@media print {
  .steps {
    max-width: none;
  }
}
</style>
