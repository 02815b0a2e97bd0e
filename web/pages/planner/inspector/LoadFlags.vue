<script setup lang="ts">
import { computed } from 'vue';
import { grownTooFast, loadFlags, ratioInWords, type BreathPractice } from '#core/breath';
import { practiceOf } from '#core/plan';
import AppIcon from '../../../ui/AppIcon.vue';
import { dayOf } from '../../../ui/dates';
import { useEditor } from '../../../state/editor';
import { useLibrary } from '../../../state/library';
import { useSettings } from '../../../state/settings';
import { useClosedGates } from './use-closed-gates';
import { useLastTaught } from './use-last-taught';

/**
 * What is worth checking in a practice: by the settings, by the gates of the ladder, and what grew too fast since it was
 * last taught.
 */
const { practice, stepId } = defineProps<{ practice: BreathPractice; stepId: string }>();

const settings = useSettings();
void settings.ready();
const editor = useEditor();
const library = useLibrary();
const lastTaught = useLastTaught({ id: editor.id, startsAt: editor.plan?.startsAt ?? null }, stepId);
/** In a week of a course: how the week before it was taught. */
const weekBefore = computed(() => {
  const before = editor.week?.before.value;
  const taught = practiceOf(before?.plan.steps.find(({ id }) => id === stepId));
  return before && taught ? { atMs: before.beganAtMs, practice: taught, easy: undefined } : undefined;
});
const closedGates = useClosedGates(
  () => editor.plan,
  () => practice,
);
// Until groups and their health are known, nobody has been asked.
const CHECKED = false;
/** Whether the position that the breath moves, or that it is practised in, is a standing one. */
const standing = computed(() => {
  const step = editor.plan?.steps.find(({ id }) => id === stepId);
  const id =
    step?.kind === 'breath' ? (step.moves?.position ?? step.seat) : step?.kind === 'hold' ? step.position : null;
  return id !== null && library.all.position(id)?.family === 'standing';
});
const flags = computed(() => {
  const { load, growth } = settings.current.breath;
  const found = loadFlags(practice, CHECKED, load, standing.value).map(({ message }) => message);
  for (const { ratio, gate, before, easyBefore } of closedGates.value) {
    if (!before) continue;
    const sessions = gate === 1 ? '1 easy session' : `${gate} easy sessions`;
    found.push(
      `${ratioInWords(ratio)} comes after ${sessions} at ${ratioInWords(before)}; this group has had ${easyBefore}.`,
    );
  }
  const before = lastTaught.value ?? weekBefore.value;
  if (!before) return found;
  const grown = grownTooFast(before.practice, practice, before.easy, growth);
  return [...found, ...grown.map((why) => `Since it was taught on ${dayOf(before.atMs)}: ${why}`)];
});
</script>

<template>
  <ul v-if="flags.length > 0" aria-label="Please check">
    <li v-for="message in flags" :key="message"><AppIcon name="warn" :size="16" class="caution" /> {{ message }}</li>
  </ul>
</template>

<style scoped>
ul {
  margin-bottom: 6px;
}
li {
  display: flex;
  gap: 8px;
  align-items: flex-start;
  margin-top: 6px;
}
</style>
