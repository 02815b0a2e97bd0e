<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core';
import { computed } from 'vue';
import { inMind } from '#core/caution';
import { saidOf } from '#core/record';
import { useLibrary } from '../stores/library';
import { usePeople } from '../stores/people';
import type { Session } from './use-session';

/** What to keep in mind for those who are there, as far as the step under way asks it: by initials, and hidden with a touch. */
const { session } = defineProps<{ session: Session }>();

const people = usePeople();
const library = useLibrary();
void people.ready();
const hidden = useLocalStorage('zovrin.inMindHidden', false);
const there = computed(() => people.of(saidOf(session.local.value?.events ?? []).present?.people ?? []));
const told = computed(() => {
  const step = session.plan.steps[session.state.value.phase?.stepIndex ?? -1];
  return step ? inMind(there.value, step, library.all) : [];
});
</script>

<template>
  <div v-if="told.length > 0" class="corner">
    <button
      type="button"
      class="plain-button"
      :aria-expanded="!hidden"
      :aria-label="hidden ? `Keep in mind, ${told.length}: show` : 'Keep in mind: hide'"
      @click="hidden = !hidden"
    >
      {{ hidden ? `in mind: ${told.length}` : 'hide' }}
    </button>
    <ul v-if="!hidden">
      <li v-for="one in told" :key="one.personId">
        <strong>{{ one.initials }}</strong> {{ one.words.join('; ') }}
      </li>
    </ul>
  </div>
</template>

<style scoped>
.corner {
  display: flex;
  position: fixed;
  z-index: 2;
  top: 68px;
  right: 24px;
  flex-direction: column-reverse;
  max-width: 340px;
  max-height: 168px;
  overflow: auto;
  padding: 4px 12px;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
  background: var(--paper);
  font-size: 17px;
  line-height: 22px;
}
.corner button {
  min-height: 28px;
  color: var(--ink-2);
  font-size: 14px;
}
@media (width < 640px) {
  .corner {
    top: 62px;
    right: 14px;
    max-width: 60%;
    font-size: 15px;
    line-height: 19px;
  }
}
@media (pointer: coarse) {
  .corner button {
    min-height: 44px;
  }
}
</style>
