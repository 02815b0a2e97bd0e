<script setup lang="ts">
import { computed } from 'vue';
import { clockOfMs } from '#core/time';
import { eventInWords } from '../event-labels';
import type { Session } from '../use-session';

/** What was just done, and the way to take it back for as long as that goes; or that time went by unseen. */
const { session } = defineProps<{ session: Session }>();

const gap = session.unseen;
const setMs = session.clockSetMs;
const says = computed(() => {
  const event = session.lastDone.value;
  return event ? eventInWords(event, session.plan, session.run.value) : '';
});
</script>

<template>
  <p v-if="gap" class="strip" role="alert">
    <span
      >{{ clockOfMs(gap.untilMs - gap.fromMs) }} passed while the screen was asleep. The session has moved on with the
      clock.</span
    >
    <button type="button" class="link-button" @click="session.excludeGap()">Resume from where it was</button>
    <button type="button" class="link-button" @click="session.dismissUnseen()">Stay here</button>
  </p>
  <p v-else-if="setMs !== 0" class="strip" role="alert">
    <span
      >This computer’s clock was changed {{ setMs > 0 ? 'ahead' : 'back' }} by {{ clockOfMs(Math.abs(setMs)) }}. The
      session is not affected.</span
    >
    <button v-if="setMs > 0" type="button" class="link-button" @click="session.revertClockCorrection()">
      Count this time
    </button>
    <button type="button" class="link-button" @click="session.dismissUnseen()">Good</button>
  </p>
  <p v-else-if="says" class="strip" role="status">
    <span>{{ says }}</span>
    <button type="button" class="link-button" @click="session.takeBack()">Undo <kbd>Z</kbd></button>
  </p>
</template>

<style scoped>
.strip {
  display: flex;
  position: absolute;
  z-index: 3;
  right: 32px;
  /* Over the middle of the ribbon, where there are no words. */
  bottom: calc(100% + 38px);
  gap: 14px;
  align-items: center;
  padding: 4px 14px;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
  background: var(--paper);
}
@media (width < 900px) {
  .strip {
    position: static;
    gap: 0 14px;
    justify-content: space-between;
    margin: 4px 12px;
  }
  .strip[role='status'] span {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .strip[role='alert'] {
    flex-wrap: wrap;
  }
  .link-button {
    flex: none;
  }
  kbd {
    display: none;
  }
}
</style>
