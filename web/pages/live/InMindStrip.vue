<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { inMind, isUnscreened, LEVEL_WORDS, remindersAt, stageLines, type StageLine } from '#core/caution';
import { annotationsOf } from '#core/review';
import CautionMark from '../../widgets/cautions/CautionMark.vue';
import type { TheClass } from '../../state/use-class';
import { useKnowledge } from '../../state/knowledge';
import { usePeople } from '../../state/people';
import type { Session } from './use-session';

/**
 * What to keep in mind for those who are there, as far as the step under way demands it: their alternative, what to be
 * careful of, and the teacher's own words, as one list with the most careful first. By initials, no condition is named;
 * four lines at most until a touch shows the rest, and hidden with another.
 */
const { session, theClass } = defineProps<{ session: Session; theClass: TheClass }>();

const PHONE_PX = 640;
const people = usePeople();
const cautions = useKnowledge();
void people.ready();
// On a phone it would take the room of the clock: there it is opened with a touch.
const hidden = useLocalStorage('zovrin.inMindHidden', window.innerWidth < PHONE_PX);
/** Who is there: those of the group who were ticked, and today's guests. */
const ids = computed(() => [
  ...(annotationsOf(session.local.value?.events ?? []).present?.people ?? []),
  ...theClass.guests.value.map(({ id }) => id),
]);
/** Those of the class with what is new today, and whoever else was ticked. */
const there = computed(() => {
  const ofClass = theClass.screened.value.filter(({ id }) => ids.value.includes(id));
  const known = new Set(ofClass.map(({ id }) => id));
  return [...ofClass, ...people.of(ids.value.filter((id) => !known.has(id)))];
});
const index = computed(() => session.state.value.phase?.stepIndex ?? -1);
const step = computed(() => session.plan.steps[index.value]);
const lines = computed(() => {
  if (!step.value) return [];
  const known = remindersAt(
    (theClass.matrix.value?.rows ?? []).filter(({ personId }) => ids.value.includes(personId)),
    index.value,
  );
  return stageLines(known, inMind(there.value, step.value, cautions.knowledge));
});
/** With people there, a hold that nobody has said anything of is told as what it is. */
const unscreened = computed(
  () => ids.value.length > 0 && step.value !== undefined && isUnscreened(step.value, cautions.knowledge),
);
/** At most so many; a touch shows the rest. */
const SHOWN = 4;
const all = ref(false);
watch(index, () => (all.value = false));
const shown = computed(() => (all.value ? lines.value : lines.value.slice(0, SHOWN)));
const more = computed(() => lines.value.length - SHOWN);
/** A few by their initials; who the others are is shown while it is pointed at. */
const NAMED = 3;
function whoIs({ personIds }: StageLine): string {
  const named = personIds.slice(0, NAMED).map(theClass.shown);
  return [...named, ...(personIds.length > NAMED ? [`+${personIds.length - NAMED}`] : [])].join(', ');
}
</script>

<template>
  <section v-if="lines.length > 0 || unscreened" class="strip" aria-label="Keep in mind">
    <button
      type="button"
      class="plain-button"
      :aria-expanded="!hidden"
      :aria-label="hidden ? `Keep in mind, ${lines.length}: show` : 'Keep in mind: hide'"
      @click="hidden = !hidden"
    >
      {{ hidden ? `in mind: ${lines.length}` : 'hide' }}
    </button>
    <ul v-if="!hidden">
      <li v-if="unscreened">
        <CautionMark level="watch" />
        <span>Not screened: this hold is not in your library.</span>
      </li>
      <li v-for="line in shown" :key="line.words">
        <CautionMark :level="line.level" :state="line.isInstead && !line.level ? 'instead' : 'open'" />
        <span>
          <strong :title="line.personIds.map((id) => theClass.shown(id)).join(', ')">{{ whoIs(line) }}</strong>
          <span v-if="line.level" class="sr-only">, {{ LEVEL_WORDS[line.level] }}</span>
          {{ line.words }}
        </span>
      </li>
      <li v-if="more > 0">
        <button type="button" class="link-button" :aria-expanded="all" @click="all = !all">
          {{ all ? 'Show fewer' : `${more} more` }}
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.strip {
  display: flex;
  gap: 4px 20px;
  align-items: flex-start;
  max-height: 9vh;
  overflow: auto;
  padding: 4px 32px;
  border-bottom: 1px solid var(--line);
  font-size: 15px;
  line-height: 19px;
}
ul {
  display: grid;
  flex: 1;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 280px), 1fr));
  gap: 0 20px;
  min-width: 0;
}
li {
  display: grid;
  grid-template-columns: 16px minmax(0, 1fr);
  gap: 6px;
  padding: 2px 0;
  overflow-wrap: anywhere;
}
li .mark {
  margin-top: 3px;
}
.strip button {
  flex: none;
  min-height: 28px;
  color: var(--ink-2);
  font-size: 14px;
}
@media (width < 640px) {
  .strip {
    padding: 2px 12px;
  }
}
@media (pointer: coarse) {
  .strip button {
    min-height: 44px;
  }
}
</style>
