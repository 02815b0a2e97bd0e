<script setup lang="ts">
import Popover from 'primevue/popover';
import type { BellKind } from '#core/timeline';
import { computed, useTemplateRef } from 'vue';
import IconButton from '../../../ui/IconButton.vue';
import { clockTime } from '../../../ui/dates';
import ChoiceField from '../../../ui/fields/ChoiceField.vue';
import BellSettings from './BellSettings.vue';
import StudentDisplayMenu from './StudentDisplayMenu.vue';
import { SPEEDS } from '../../../widgets/session/session-clock';
import type { Session } from '../use-session';
import { lateInWords } from '../words';

const { session, silent, sleepy } = defineProps<{
  session: Session;
  silent: boolean;
  /** The browser would not keep the screen awake. */
  sleepy: boolean;
}>();
const emit = defineEmits<{ leave: []; wake: []; catchUp: []; ring: [BellKind] }>();

const settings = useTemplateRef('settings');
const state = session.state;
const step = computed(() => (state.value.phase ? session.plan.steps[state.value.phase.stepIndex] : undefined));
const place = computed(() =>
  state.value.phase && state.value.status !== 'ready'
    ? `step ${state.value.phase.stepIndex + 1} of ${session.plan.steps.length}`
    : session.plan.group,
);
const title = computed(() => (state.value.status === 'ready' || !step.value ? session.plan.title : step.value.name));
const speeds = SPEEDS.map((value) => ({ value: String(value), label: `${value}×` }));
const speed = computed({
  get: () => String(session.clock.speed.value),
  set: (value: string) => session.clock.setSpeed(Number(value)),
});
const WORTH_CATCHING_MS = 60_000;
const isLate = computed(
  () => ['running', 'paused'].includes(state.value.status) && state.value.lateMs >= WORTH_CATCHING_MS,
);
const ends = computed(() => clockTime(session.clock.wall(state.value.expectedEndMs)));
const room = useTemplateRef('room');
</script>

<template>
  <header>
    <IconButton icon="remove" label="Leave" @click="emit('leave')" />
    <h1>{{ title }}</h1>
    <span class="quiet place">{{ place }}</span>
    <span v-if="session.trouble.value" class="caution small said trouble" role="alert">{{
      session.trouble.value
    }}</span>
    <button v-else-if="silent" type="button" class="caution small said plain-button" @click="emit('wake')">
      Bell is silent until you touch the screen
    </button>
    <span v-else-if="sleepy" class="small quiet said" role="status">This screen may switch off</span>
    <span v-if="session.clock.rehearsal" class="rehearsal">
      Rehearsal
      <ChoiceField v-model="speed" label="Speed" :options="speeds" />
      <RouterLink :to="{ query: {} }" replace>Lead it</RouterLink>
    </span>
    <span class="clock numeral">{{ clockTime(session.clock.wall(session.now.value)) }}</span>
    <span class="quiet ends">
      ends <strong>{{ ends }}</strong><template v-if="state.status !== 'ready'"
        >, <span :class="{ now: Math.abs(state.lateMs) >= 60_000 }">{{ lateInWords(state.lateMs) }}</span></template
      >
    </span>
    <button v-if="isLate" type="button" class="link-button" @click="emit('catchUp')">Catch up</button>
    <IconButton
      v-if="!session.clock.rehearsal"
      icon="open"
      label="Student display"
      hint="A second screen, or phones on this network: only side, time and figure"
      @click="room?.toggle($event)"
    />
    <StudentDisplayMenu ref="room" :plan-id="session.planId" />
    <IconButton icon="bell" label="Bells and volume" @click="settings?.toggle($event)" />
    <Popover ref="settings"><BellSettings @ring="emit('ring', $event)" /></Popover>
  </header>
</template>

<style scoped>
header {
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 0 20px;
  border-bottom: 1px solid var(--line);
}
h1 {
  overflow: hidden;
  font: 600 19px/24px var(--text);
  text-overflow: ellipsis;
  white-space: nowrap;
}
.place {
  flex: 1;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.trouble {
  max-width: 420px;
}
.rehearsal {
  display: flex;
  gap: 10px;
  align-items: center;
  padding: 2px 10px;
  border: 1px dashed var(--now);
  border-radius: 4px;
  color: var(--now);
}
.clock {
  font-size: 28px;
}
strong {
  color: var(--ink);
  font-weight: 600;
}
.ends {
  white-space: nowrap;
}
.now {
  color: var(--now);
}
/* Messages about this device get their own line, so that the step name stays readable. */
@media (width < 900px) {
  header {
    flex-wrap: wrap;
    align-content: center;
    padding: 2px 8px;
  }
  .said {
    order: 1;
    flex-basis: 100%;
    padding-left: 36px;
    text-align: left;
  }
  h1 {
    flex: 1;
  }
  .place {
    display: none;
  }
}
@media (width < 640px) {
  header {
    gap: 0 6px;
    font-size: 15px;
  }
  .clock,
  .rehearsal a,
  .rehearsal ~ .ends {
    display: none;
  }
  h1 {
    font-size: 16px;
  }
}
</style>
