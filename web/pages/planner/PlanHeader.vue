<script setup lang="ts">
import Button from 'primevue/button';
import { computed, defineAsyncComponent, ref } from 'vue';
import UndoButtons from './UndoButtons.vue';
import { useRoute, useRouter } from 'vue-router';
import { APPROACH_LABELS } from '#core/catalogue';
import type { Plan } from '#core/plan';
import { clockOfMs } from '#core/time';
import type { Timeline } from '#core/timeline';
import { people, spareInWords } from '../../widgets/session/words';
import CourseOfPlan from '../../widgets/courses/CourseOfPlan.vue';
import IconButton from '../../ui/IconButton.vue';
import { onceOpened } from '../../ui/once-opened';
import { startInWords } from '../../ui/dates';
import { useShortages } from '../../widgets/props/use-shortages';
import { useScreening } from '../../state/screening';
import { useEditor } from '../../state/editor';
import BalanceBar from './BalanceBar.vue';
import DetailsDialog from './DetailsDialog.vue';

const { plan, timeline } = defineProps<{ plan: Plan; timeline: Timeline }>();

const editor = useEditor();
const router = useRouter();
const details = ref(false);
/** An address can ask for one of the forms it is handed over in. */
const { share: wanted } = useRoute().query;
const sharing = ref(typeof wanted === 'string');
const everShared = onceOpened(sharing);
const ShareDialog = defineAsyncComponent(() => import('./share/ShareDialog.vue'));
const about = computed(() =>
  [
    APPROACH_LABELS[plan.approach],
    plan.group ? `${plan.group}, ${people(plan.groupSize)}` : people(plan.groupSize),
    startInWords(plan.startsAt),
    plan.place,
    plan.archived ? 'archived' : '',
  ]
    .filter(Boolean)
    .join(' · '),
);
const spare = computed(() => spareInWords(timeline).split(' ') as [string, ...string[]]);
const shortages = useShortages();
/** How many steps the place has too little for, and how many cautions still wait for a decision. */
const short = computed(() => shortages.value.size);
const screening = useScreening();
const toDecide = computed(() => (screening.matrix?.columns ?? []).reduce((sum, { open }) => sum + open, 0));
const shareInHolds = computed(() => {
  const { holdMs, totalMs } = timeline.totals;
  return totalMs === 0 ? '' : `${Math.round((100 * holdMs) / totalMs)} %`;
});
</script>

<template>
  <header>
    <h1>
      <button
        type="button"
        class="plain-button title"
        :title="plan.title"
        :aria-label="`${plan.title}: change title, group, place, time`"
        @click="details = true"
      >
        {{ plan.title }}
      </button>
    </h1>
    <p class="number" aria-label="Total">
      <span class="numeral">{{ clockOfMs(timeline.totals.totalMs) }}</span> of {{ clockOfMs(timeline.totals.targetMs) }}
    </p>
    <p class="number" :class="{ caution: timeline.totals.spareMs < 0 }" aria-label="Compared with class length">
      <span class="numeral">{{ spare[0] }}</span> {{ spare.slice(1).join(' ') }}
    </p>
    <p class="number" aria-label="In holds">
      <span class="numeral">{{ clockOfMs(timeline.totals.holdMs) }}</span> in holds<template v-if="shareInHolds"
        >, {{ shareInHolds }}</template
      >
    </p>
    <BalanceBar
      class="balance"
      :left-ms="timeline.totals.leftMs"
      :right-ms="timeline.totals.rightMs"
      :intended="timeline.notes.every(({ kind }) => kind !== 'uneven')"
    />
    <div class="actions">
      <UndoButtons />
      <template v-if="!editor.week">
        <IconButton icon="share" label="Share" @click="sharing = true" />
        <Button label="Teach" :disabled="plan.steps.length === 0" @click="router.push(`/teach/${editor.id}`)" />
      </template>
    </div>
    <div class="second">
      <span class="small quiet about" :title="about">{{ about }}</span>
      <CourseOfPlan v-if="!editor.week" weeks :plan-id="editor.id" class="small" />
      <nav aria-label="Views of the plan">
        <RouterLink :to="editor.path" aria-current="page">Steps</RouterLink>
        <RouterLink v-if="!editor.week" :to="`${editor.path}/fit`">Fit</RouterLink>
        <RouterLink :to="`${editor.path}/props`"
          >Props <span v-if="short > 0" class="small caution">{{ short }} short</span></RouterLink
        >
        <RouterLink :to="`${editor.path}/cues`">Cue sheet</RouterLink>
        <template v-if="!editor.week">
          <RouterLink :to="`${editor.path}/people`"
            >Cautions <span v-if="toDecide > 0" class="small caution">{{ toDecide }} to decide</span></RouterLink
          >
          <RouterLink :to="`${editor.path}/history`">Versions</RouterLink>
        </template>
      </nav>
    </div>
  </header>
  <DetailsDialog v-model:visible="details" :plan="plan" />
  <ShareDialog v-if="everShared" v-model:visible="sharing" :first="typeof wanted === 'string' ? wanted : undefined" />
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  gap: 0 10px;
  align-items: center;
  padding: 6px 32px 2px;
}
h1 {
  flex: 1 1 0;
  min-width: 200px;
  font-size: 25px;
  line-height: 31px;
}
.title {
  overflow: hidden;
  width: 100%;
  padding-bottom: 3px;
  font: inherit;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.title:hover {
  text-decoration: underline;
  text-decoration-thickness: 1px;
  text-underline-offset: 4px;
}
.second {
  display: flex;
  flex: 1 1 100%;
  gap: 20px;
  align-items: center;
  min-width: 0;
}
.about {
  flex: 1;
  overflow: hidden;
  min-width: 0;
  text-overflow: ellipsis;
  white-space: nowrap;
}
nav {
  display: flex;
  gap: 18px;
}
nav a {
  padding: 2px 0;
  border-bottom: 3px solid transparent;
  color: var(--main);
  font-weight: 600;
  text-decoration: none;
}
nav a:hover {
  border-color: var(--line-strong);
}
nav a[aria-current='page'] {
  border-color: var(--ink);
  color: var(--ink);
}
nav .small {
  margin-right: 0;
}
.number {
  padding-left: 10px;
  border-left: 1px solid var(--line);
  color: var(--ink-2);
  white-space: nowrap;
}
.numeral {
  margin-right: 4px;
  color: var(--ink);
  font-size: 26px;
  line-height: 32px;
}
.caution,
.caution .numeral {
  margin-right: 4px;
  color: var(--caution);
}
.actions {
  display: flex;
  gap: 2px;
  align-items: center;
}
@media (width < 1060px) {
  /* The numbers that matter stay in view while the page scrolls. */
  header {
    position: sticky;
    z-index: 4;
    top: 0;
    padding-bottom: 6px;
    border-bottom: 1px solid var(--line);
    background: var(--paper);
  }
  h1 {
    flex-basis: 100%;
  }
  .number:first-of-type {
    padding-left: 0;
    border-left: 0;
  }
  .actions {
    margin-left: auto;
  }
}
@media (width < 640px) {
  header {
    padding: 6px 12px;
  }
  .number {
    font-size: 13px;
  }
  .numeral {
    font-size: 20px;
  }
  .about {
    display: none;
  }
  nav {
    flex-wrap: wrap;
    gap: 0 16px;
  }
}
</style>
