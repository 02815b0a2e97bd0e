<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core';
import { computed } from 'vue';
import { inMind, LEVEL_WORDS, remindersAt } from '#core/caution';
import { annotationsOf } from '#core/review';
import CautionMark from '../../widgets/cautions/CautionMark.vue';
import { useClass } from '../../state/use-class';
import { useKnowledge } from '../../state/knowledge';
import { usePeople } from '../../state/people';
import type { Session } from './use-session';

/**
 * What to keep in mind for those who are there, as far as the step under way asks it: their alternative, what to be
 * careful of, and the teacher's own words. By initials, no condition is named, and hidden with a touch.
 */
const { session } = defineProps<{ session: Session }>();

const PHONE_PX = 640;
const people = usePeople();
const cautions = useKnowledge();
void people.ready();
// On a phone it would take the room of the clock: there it is opened with a touch.
const hidden = useLocalStorage('zovrin.inMindHidden', window.innerWidth < PHONE_PX);
const { matrix } = useClass(session.planId, () => session.plan);
const ids = computed(() => annotationsOf(session.local.value?.events ?? []).present?.people ?? []);
const index = computed(() => session.state.value.phase?.stepIndex ?? -1);
const reminders = computed(() => {
  const step = session.plan.steps[index.value];
  if (!step) return [];
  const own = inMind(people.of(ids.value), step, cautions.knowledge);
  const known = remindersAt(
    (matrix.value?.rows ?? []).filter(({ personId }) => ids.value.includes(personId)),
    index.value,
  );
  return ids.value.flatMap((id) => {
    const [careful, mine] = [known.find((one) => one.personId === id), own.find((one) => one.personId === id)];
    if (!careful && !mine) return [];
    const instead = careful?.instead ? [`${careful.instead} instead.`] : [];
    return [
      {
        id,
        name: people.shown(id),
        level: careful?.level ?? null,
        isInstead: instead.length > 0,
        words: [...instead, ...(mine?.words ?? []), ...(careful?.words ?? [])].join(' '),
      },
    ];
  });
});
</script>

<template>
  <section v-if="reminders.length > 0" class="strip" aria-label="Keep in mind">
    <button
      type="button"
      class="plain-button"
      :aria-expanded="!hidden"
      :aria-label="hidden ? `Keep in mind, ${reminders.length}: show` : 'Keep in mind: hide'"
      @click="hidden = !hidden"
    >
      {{ hidden ? `in mind: ${reminders.length}` : 'hide' }}
    </button>
    <ul v-if="!hidden">
      <li v-for="one in reminders" :key="one.id">
        <CautionMark :level="one.level" :state="one.isInstead && !one.level ? 'instead' : 'open'" />
        <span>
          <strong>{{ one.name }}</strong>
          <span v-if="one.level" class="sr-only">, {{ LEVEL_WORDS[one.level] }}</span>
          {{ one.words }}
        </span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.strip {
  display: flex;
  gap: 4px 20px;
  align-items: flex-start;
  max-height: 12vh;
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
