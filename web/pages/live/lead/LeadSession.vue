<script setup lang="ts">
import { useEventListener, useWakeLock } from '@vueuse/core';
import { computed, onBeforeUnmount, ref, useTemplateRef, watch } from 'vue';
import { onBeforeRouteLeave, useRouter } from 'vue-router';
import type { StoredPlan } from '#api';
import { useSettings } from '../../../state/settings';
import { useDeviceSettings } from '../../../state/device-settings';
import { makeSounds } from '../../../widgets/sound/sounds';
import BreathStage from '../BreathStage.vue';
import CatchUpDialog from './CatchUpDialog.vue';
import DoneStrip from './DoneStrip.vue';
import FollowBar from './FollowBar.vue';
import HoldStage from '../HoldStage.vue';
import { belongsToControl, mayBeShortcut } from '../../../ui/keys';
import InMindStrip from '../InMindStrip.vue';
import LeaveDialog from './LeaveDialog.vue';
import MoreMenu from './MoreMenu.vue';
import NoteDialog from './NoteDialog.vue';
import ReadyStage from './ReadyStage.vue';
import LeadControls from './LeadControls.vue';
import LeadRibbon from './LeadRibbon.vue';
import LeadTop from './LeadTop.vue';
import { excludedGap } from '../../../widgets/session/clock-offset';
import { useHeard } from '../../../widgets/sound/use-heard';
import { rehearsalClock, steadyClock } from '../../../widgets/session/session-clock';
import { useSounds } from './use-sounds';
import type { InitialLeadership } from '../use-led-run';
import { useSession } from '../use-session';
import { useLock } from '../../../state/lock';
import { useClass } from '../../../state/use-class';
import { usePeople } from '../../../state/people';
import { useSpoken } from './use-spoken';

const {
  stored,
  first,
  rehearse = 0,
} = defineProps<{
  stored: StoredPlan;
  first: InitialLeadership;
  /** How many times as fast it is rehearsed; 0 when it is led. */
  rehearse?: number;
}>();

const router = useRouter();
const device = useDeviceSettings();
const settings = useSettings();
void settings.ready();
const leftOut = excludedGap(first.run?.events ?? [], first.me, Date.now());
const session = useSession(
  stored,
  () => device.bells,
  () => settings.current.teach.secondSide,
  rehearse > 0 ? rehearsalClock(rehearse) : steadyClock(leftOut.leftOutMs),
  first,
);
if (rehearse === 0 && leftOut.setByMs !== 0) session.happen({ kind: 'clockSet', byMs: leftOut.setByMs });
const sounds = makeSounds();
const { pulse, silent, ring } = useSounds(session, sounds, useHeard(), () => ({
  sound: device.bellSound,
  shakes: device.shakes,
}));
useSpoken(session, () => device.speaks);
const wakeLock = useWakeLock();
/** The browser would not keep the screen awake: nothing stops, and it is said. */
const sleepy = ref(false);
const present = ref<{ people: string[]; others: number }>({ people: [], others: 0 });
const people = usePeople();
const theClass = useClass(session.planId, () => session.plan, true);
/** Who is expected: the plan's group, until the teacher says who is there. */
void people.ready().then(() => {
  const members = people.group(stored.document.groupId)?.members ?? [];
  const { people: named, others } = present.value;
  if (members.length === 0 || named.length + others > 0) return;
  const here = people.of(members).map(({ id }) => id);
  present.value = { people: here, others: Math.max(0, stored.document.groupSize - here.length) };
});
const noting = ref(false);
const leaving = ref(false);
const catching = ref(false);
const more = useTemplateRef('more');
let mayLeave = false;

const status = computed(() => session.state.value.status);
const inBreath = computed(() => {
  const { phase } = session.state.value;
  return phase !== null && 'round' in phase;
});
const underWay = computed(() => ['running', 'paused', 'over'].includes(status.value));
// Nobody is locked out of a class that is led.
const lock = useLock();
watch(underWay, (is) => (lock.held = is && rehearse === 0), { immediate: true });

function begin(): void {
  void sounds.wake();
  const isFirst = status.value === 'ready';
  wakeLock.request('screen').then(
    () => (sleepy.value = !wakeLock.isSupported.value),
    () => (sleepy.value = true),
  );
  session.pauseOrGoOn();
  const { people, others } = present.value;
  if (isFirst && people.length + others > 0) session.happen({ kind: 'present', people, others });
}
/** Ends what is under way, with the bell it would have had. */
function cut(): void {
  const { phase } = session.state.value;
  const changing = session.coming.value[0]?.phase;
  session.happen({ kind: 'cut' });
  if (phase?.kind === 'hold' && changing?.kind === 'hold' && changing.stepIndex === phase.stepIndex) ring('switch');
  else if (phase && (phase.kind === 'hold' || 'round' in phase)) ring('end');
}
async function end(): Promise<void> {
  const run = session.local.value;
  session.happen({ kind: 'ended' });
  mayLeave = true;
  if (rehearse > 0) await leave();
  else await router.push(run ? `/history/${run.id}?view=close` : '/');
}
async function leave(): Promise<void> {
  mayLeave = true;
  await router.push(`/plans/${stored.id}`);
}
const askToLeave = (): void => {
  if (underWay.value && rehearse === 0 && session.leading.value) leaving.value = true;
  else void leave();
};
onBeforeRouteLeave(() => {
  if (mayLeave || !underWay.value || rehearse > 0 || !session.leading.value) return true;
  leaving.value = true;
  return false;
});
onBeforeUnmount(() => {
  lock.held = false;
  sounds.close();
  void wakeLock.release().catch(() => undefined);
});
watch(
  () => device.volume,
  (volume) => sounds.setVolume(volume),
  { immediate: true },
);

/** What lies over the stage and has an Escape of its own. */
const PANELS = '[role="dialog"], [role="menu"], .p-popover';

/** The keys of the stage; a control that has the focus keeps its own. */
const KEYS: Record<string, () => void> = {
  ' ': begin,
  ArrowRight: session.next,
  PageDown: session.next,
  ArrowLeft: session.back,
  PageUp: session.back,
  '+': () => session.more(1),
  '=': () => session.more(1),
  '-': () => session.more(-1),
  e: cut,
  m: () => session.happen({ kind: 'matched' }),
  b: () => ring(),
  n: () => (noting.value = true),
  h: session.holdOn,
  r: () => session.happen({ kind: 'restAdded', ms: 60_000 }),
  s: session.swapNext,
  c: () => (catching.value = true),
  z: session.takeBack,
  Escape: askToLeave,
};
useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  if (noting.value || leaving.value || catching.value || event.ctrlKey || event.metaKey || event.altKey) return;
  if (!mayBeShortcut(event)) return;
  if (event.defaultPrevented || belongsToControl(event.target)) {
    // Escape closes what lies over the stage; on a control of the stage it goes back to the stage.
    if (event.key === 'Escape' && !event.defaultPrevented && !(event.target as Element).closest(PANELS))
      (document.activeElement as HTMLElement | null)?.blur();
    return;
  }
  const act = KEYS[event.key.length === 1 ? event.key.toLowerCase() : event.key];
  if (!act || (!session.leading.value && event.key !== 'Escape')) return;
  event.preventDefault();
  if (status.value === 'ready' && ![' ', 'Escape', 'b'].includes(event.key)) return;
  act();
});
/** A button that was pressed with a finger or the mouse does not keep the focus: the next key belongs to the stage. */
function letGo(event: MouseEvent): void {
  const button = (event.target as Element).closest('button');
  if (event.detail === 0 || !button) return;
  pressed = button;
  if (button === document.activeElement) button.blur();
}
/**
 * The button that was pressed last, unless the keyboard has gone on since: a panel that closes gives it the focus back.
 */
let pressed: Element | undefined;
useEventListener(window, 'focusin', ({ target }: FocusEvent) => {
  if (target !== pressed) return;
  pressed = undefined;
  (target as HTMLElement).blur();
});
useEventListener(window, 'keydown', ({ key }: KeyboardEvent) => {
  if (key === 'Tab') pressed = undefined;
});
useEventListener(window, 'pointerdown', () => void sounds.wake(), { once: true });
</script>

<template>
  <main class="teach" :class="{ pulse }" @click="letGo">
    <LeadTop
      :session="session"
      :silent="silent && underWay && session.leading.value"
      :sleepy="sleepy && underWay"
      @leave="askToLeave"
      @wake="sounds.wake()"
      @catch-up="catching = true"
      @ring="ring"
    />
    <ReadyStage
      v-if="status === 'ready'"
      v-model:present="present"
      class="stage"
      :session="session"
      :the-class="theClass"
      @begin="begin"
    />
    <BreathStage v-else-if="inBreath" class="stage" :session="session" />
    <HoldStage v-else class="stage" :session="session" />
    <InMindStrip v-if="underWay" class="mind" :session="session" :the-class="theClass" />
    <LeadRibbon class="ribbon" :session="session" />
    <div class="hand">
      <DoneStrip v-if="session.leading.value" :session="session" />
      <FollowBar v-if="!session.leading.value" :session="session" />
      <LeadControls
        v-else
        :session="session"
        @begin="begin"
        @ring="ring()"
        @cut="cut"
        @note="noting = true"
        @end="end"
        @more="more?.toggle($event)"
      />
    </div>
    <MoreMenu ref="more" :session="session" />
    <CatchUpDialog v-model:visible="catching" :session="session" />
    <NoteDialog v-model:visible="noting" @note="(text) => session.happen({ kind: 'noted', text })" />
    <LeaveDialog v-model:visible="leaving" @end="end" @leave="leave" />
  </main>
</template>

<style scoped>
.teach {
  display: grid;
  grid-template: 'top' minmax(60px, auto) 'stage' minmax(0, 1fr) 'mind' auto 'ribbon' 116px 'hand' auto / minmax(
      0,
      1fr
    );
  height: 100vh;
  height: 100dvh;
  overflow: hidden;
  font-size: 19px;
  line-height: 24px;
}
.stage {
  grid-area: stage;
}
.mind {
  grid-area: mind;
}
.ribbon {
  grid-area: ribbon;
}
.hand {
  position: relative;
  grid-area: hand;
}
/* A phone on its side: the stage is what is looked at, so the ribbon gives its place up. */
@media (height < 480px) {
  .teach {
    grid-template-rows: minmax(40px, auto) minmax(0, 1fr) auto 0 auto;
  }
  .ribbon {
    display: none;
  }
}
.pulse {
  box-shadow: inset 0 0 0 10px var(--now);
}
</style>
