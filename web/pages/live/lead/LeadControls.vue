<script setup lang="ts">
import { computed } from 'vue';
import AppIcon from '../../../ui/AppIcon.vue';
import type { IconName } from '../../../ui/icons';
import type { Session } from '../use-session';

/** The main controls. Their unit follows the present step: half minutes in a hold, rounds in a breath. */
const { session } = defineProps<{ session: Session }>();
const emit = defineEmits<{ begin: []; ring: []; cut: []; note: []; end: []; more: [Event] }>();

interface Control {
  label: string;
  icon: IconName;
  act: (event: Event) => void;
  main?: boolean;
  wide?: boolean;
  off?: boolean;
}

const state = session.state;
/** The first side was not as long as the second is going to be: the second can be given the same. */
const canMatch = computed(() => session.secondSideOff.value !== 0);
const endLabel = computed(() => {
  const { phase } = state.value;
  if (phase?.kind === 'hold') return 'End this hold';
  if (phase?.kind === 'retention') return 'End this hold';
  if (phase && 'round' in phase) return 'End the breath';
  return 'Skip this';
});
/** What more and less go by. */
const step = computed(() => {
  const { phase, round } = state.value;
  if (phase?.kind === 'retention') return 'Five seconds';
  return round ? 'One round' : 'Half a minute';
});
const controls = computed<Control[]>(() => {
  const { status, round } = state.value;
  const bell: Control = { label: 'Bell', icon: 'bell', act: () => emit('ring') };
  const note: Control = { label: 'Note', icon: 'note', act: () => emit('note') };
  if (status === 'ready')
    return [{ label: 'Begin', icon: 'play', main: true, wide: true, act: () => emit('begin') }, bell];
  if (status === 'over')
    return [
      { label: 'Back', icon: 'back', act: session.back },
      { label: 'End the session', icon: 'end', main: true, wide: true, act: () => emit('end') },
      bell,
      note,
    ];
  const match: Control = {
    label: 'Same as first side',
    icon: 'swap',
    act: () => session.happen({ kind: 'matched' }),
  };
  const back: Control = { label: 'Back', icon: 'back', act: session.back };
  const end: Control = { label: endLabel.value, icon: 'end', act: () => emit('cut') };
  // On the way to the second side there is no hold to end; once it is held, ending it must stay at hand.
  const held = state.value.phase?.kind === 'hold';
  return [
    canMatch.value && held ? match : back,
    {
      label: status === 'paused' ? 'Resume' : 'Pause',
      icon: status === 'paused' ? 'play' : 'pause',
      main: true,
      wide: true,
      act: () => emit('begin'),
    },
    {
      label: `${step.value} less`,
      icon: 'minus',
      act: () => session.more(-1),
      off: step.value === 'One round' && round !== null && round.number >= round.of,
    },
    { label: `${step.value} more`, icon: 'plus', act: () => session.more(1) },
    canMatch.value && !held ? match : end,
    { label: 'Next', icon: 'next', act: session.next },
    bell,
    { label: 'More', icon: 'more', act: (event) => emit('more', event) },
    note,
  ];
});
</script>

<template>
  <footer>
    <button
      v-for="control in controls"
      :key="control.icon + control.label"
      type="button"
      :class="{ main: control.main, wide: control.wide }"
      :disabled="control.off"
      @click="control.act($event)"
    >
      <AppIcon :name="control.icon" /><span>{{ control.label }}</span>
    </button>
  </footer>
</template>

<style scoped>
footer {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  padding: 4px 32px 20px;
}
button {
  display: flex;
  flex: 1 1 auto;
  gap: 10px;
  align-items: center;
  justify-content: center;
  min-width: 96px;
  height: 64px;
  padding: 0 12px;
  border: 1px solid var(--line-strong);
  border-radius: 6px;
  background: none;
  color: var(--ink-2);
  font-size: 17px;
  cursor: pointer;
}
button:hover:not(:disabled) {
  background: var(--lit);
}
button:disabled {
  opacity: 0.45;
  cursor: default;
}
.wide {
  min-width: 180px;
}
.main {
  border-color: var(--now);
  color: var(--now);
  font-weight: 600;
}
/* One row at a desk: a long label takes two lines rather than a row of its own. */
@media (width >= 900px) {
  footer {
    flex-wrap: nowrap;
  }
  button {
    flex-shrink: 1;
    min-width: 0;
    line-height: 20px;
  }
  .wide {
    min-width: 140px;
  }
}
@media (width < 900px) {
  footer {
    gap: 8px;
    padding: 4px 12px 12px;
  }
  button {
    flex-basis: 30%;
    min-width: 0;
    height: 56px;
    font-size: 15px;
    line-height: 17px;
  }
}
@media (width < 640px) {
  button,
  .wide {
    flex-basis: 18%;
    min-width: 0;
    flex-direction: column;
    gap: 3px;
    height: 64px;
    padding: 0 3px;
    font-size: 12px;
    line-height: 13px;
  }
}
/* A phone on its side: one row, so that the stage has its place. */
@media (height < 480px) {
  footer {
    flex-wrap: nowrap;
    gap: 6px;
    padding: 2px 12px 4px;
  }
  button,
  .wide {
    flex: 1 1 0;
    flex-direction: column;
    gap: 1px;
    min-width: 0;
    height: 48px;
    padding: 0 2px;
    font-size: 12px;
    line-height: 12px;
  }
}
</style>
