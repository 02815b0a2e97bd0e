<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { compareRun, runLog, comparisonInWords } from '#core/review';
import { foldRun } from '#core/run';
import { clockOfMs, signedClockOfMs } from '#core/time';
import { people } from '../../../widgets/session/words';
import { clockTime, longDayOf } from '../../../ui/dates';
import { usePageTitle } from '../../../ui/page-title';
import ViewTabs from '../../../ui/ViewTabs.vue';
import { compileTimeline } from '#core/timeline';
import ReviewForm from './ReviewForm.vue';
import CorrectTimes from './CorrectTimes.vue';
import DoneRibbon from './DoneRibbon.vue';
import NextTime from './NextTime.vue';
import SessionTable from './SessionTable.vue';
import SecondSides from './SecondSides.vue';
import { useLibrary } from '../../../state/library';
import CourseOfPlan from '../../../widgets/courses/CourseOfPlan.vue';
import ShareButton from '../../../widgets/share/ShareButton.vue';
import { SESSION_FORMS, writeSession } from './share-session';
import { useRunReview } from './use-run-review';
import { MEASURED_WORDS, runLogInWords } from './words';

/** One run: a summary sentence, planned against done, its review, and times to apply to the plan. */
const { id } = defineProps<{ id: string }>();
const route = useRoute();
const router = useRouter();
const library = useLibrary();
const annotations = useRunReview(id);
const { run, trouble, missing, load } = annotations;

const VIEWS = [
  { value: 'went', label: 'How it went' },
  { value: 'close', label: 'Review the session' },
  { value: 'right', label: 'Correct times' },
] as const;
type View = (typeof VIEWS)[number]['value'];
const view = computed<View>({
  get: () => VIEWS.find(({ value }) => value === route.query.view)?.value ?? 'went',
  set: (value) => void router.replace({ query: value === 'went' ? {} : { view: value } }),
});

const timeline = computed(() => run.value && compileTimeline(run.value.plan, library.all));
const record = computed(() => run.value && timeline.value && compareRun(timeline.value, run.value.events));
const folded = computed(() => run.value && timeline.value && foldRun(timeline.value, run.value.events));
const says = computed(
  () => record.value && comparisonInWords(record.value, (i) => run.value?.plan.steps[i]?.name ?? ''),
);
const happened = computed(() => {
  const [led, planned] = [run.value, timeline.value];
  if (!led || !planned) return [];
  return runLog(planned, led.events).map((one) => ({
    atMs: one.event.atMs,
    words: runLogInWords(one, led.plan),
  }));
});
const about = computed(() => {
  const { plan } = run.value ?? {};
  const startMs = record.value?.startedAtMs;
  if (!plan || !startMs) return '';
  const { present: here, measuredFrom } = record.value.annotations;
  const attendance = here ? here.people.length + here.others : plan.groupSize;
  // Nobody has recorded yet how many people came to a class that was read from captions.
  const howMany = here || measuredFrom === null ? people(attendance) : '';
  return [
    plan.title,
    `${longDayOf(startMs)}, ${clockTime(startMs)}`,
    [howMany, plan.place].filter(Boolean).join(', '),
    MEASURED_WORDS[measuredFrom ?? 'clock'],
  ]
    .filter(Boolean)
    .join(' · ');
});
const shownView = computed(() => VIEWS.find(({ value }) => value === view.value)?.label ?? '');
usePageTitle(() => [shownView.value, run.value?.plan.title, 'History']);
const whyNot = computed(() =>
  missing.value
    ? 'This session could not be found. It may be in the bin, or this browser may not have sent it yet.'
    : trouble.value,
);
/** Its plan and when it was; without the people who were there. */
const named = computed(() => {
  const startMs = record.value?.startedAtMs;
  return [run.value?.plan.title, startMs ? longDayOf(startMs) : ''].filter(Boolean).join(', ');
});
const allHappened = ref(false);
const FEW = 8;
void load();
</script>

<template>
  <main v-if="run && timeline && record && folded">
    <header>
      <div>
        <p class="quiet">{{ about }}</p>
        <h1>{{ says }}</h1>
      </div>
      <p class="number">
        <span class="numeral">{{ clockOfMs(record.total.doneMs) }}</span><span class="small quiet"
          >planned {{ clockOfMs(record.total.plannedMs) }}</span
        >
      </p>
      <p class="number">
        <span class="numeral">{{ signedClockOfMs(record.changes.differenceMs) }}</span><span class="small quiet"
          >setting up and changing</span
        >
      </p>
      <p v-if="record.pausedMs > 0" class="number">
        <span class="numeral">{{ clockOfMs(record.pausedMs) }}</span><span class="small quiet">paused</span>
      </p>
      <ShareButton
        header="Share this session"
        :name="named"
        :forms="SESSION_FORMS"
        :write="(form) => writeSession(form, run!.plan, record!, named)"
        inside="Who was there, and what you noted or wrote in the review, is not in it."
      />
    </header>
    <p v-if="run.unreadable > 0" class="caution" role="status">
      {{ run.unreadable === 1 ? '1 event' : `${run.unreadable} events` }} of this session cannot be read, so something
      is missing here. <RouterLink to="/unreadable" class="link-button">See what can be done</RouterLink>
    </p>
    <DoneRibbon :plan="run.plan" :timeline="timeline" :run="folded" :record="record" />
    <div class="desk" :class="{ wide: view !== 'went' }">
      <div class="left">
        <nav class="views">
          <ViewTabs v-model="view" label="View" :views="VIEWS" />
          <span v-if="trouble" class="caution small" role="alert"
            >{{ trouble }}
            <button type="button" class="link-button" @click="annotations.send()">Send again</button></span
          >
        </nav>
        <div role="tabpanel" :aria-label="shownView">
          <SessionTable v-if="view === 'went'" :plan="run.plan" :record="record" />
          <ReviewForm v-else-if="view === 'close'" :plan="run.plan" :record="record" :annotations="annotations" />
          <CorrectTimes v-else :plan="run.plan" :record="record" :annotations="annotations" />
        </div>
        <footer>
          <Button v-if="view === 'close'" label="Done" @click="view = 'went'" />
          <RouterLink :to="`/plans/${run.planId}`" class="link-button">Open the plan</RouterLink
          ><CourseOfPlan :plan-id="run.planId" /><RouterLink to="/history" class="link-button">All sessions</RouterLink>
        </footer>
      </div>
      <aside v-if="view === 'went'">
        <SecondSides :plan-id="run.planId" :run-id="run.id" />
        <NextTime :plan-id="run.planId" :timeline="timeline" :record="record" />
        <section v-if="record.annotations.review.note" class="told">
          <h2>Notes</h2>
          <p>{{ record.annotations.review.note }}</p>
        </section>
        <section v-if="happened.length > 0" class="told">
          <h2>What was done</h2>
          <p v-for="(one, i) in allHappened ? happened : happened.slice(0, FEW)" :key="i">
            <span class="quiet">{{ clockTime(one.atMs) }}</span> {{ one.words }}
          </p>
          <button
            v-if="!allHappened && happened.length > FEW"
            type="button"
            class="link-button"
            @click="allHappened = true"
          >
            All {{ happened.length }}
          </button>
        </section>
        <button v-if="!record.annotations.reviewed" type="button" class="link-button" @click="view = 'close'">
          Review it
        </button>
      </aside>
    </div>
  </main>
  <main v-else-if="whyNot" class="trouble">
    <p class="caution strong" role="alert">{{ whyNot }}</p>
    <Button label="Try again" outlined @click="load" />
    <RouterLink to="/history">All sessions</RouterLink>
  </main>
</template>

<style scoped>
main {
  padding: 18px 32px 32px;
}
header {
  display: flex;
  gap: 20px;
  align-items: flex-start;
  margin-bottom: 12px;
}
header > div {
  flex: 1;
  min-width: 0;
}
h1 {
  max-width: 860px;
  font-size: 29px;
  line-height: 36px;
}
.number {
  display: flex;
  flex-direction: column;
  padding-left: 20px;
  border-left: 1px solid var(--line);
  white-space: nowrap;
}
.number .numeral {
  font-size: 30px;
  line-height: 34px;
}
.desk {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 352px;
}
.desk.wide {
  grid-template-columns: minmax(0, 1fr);
}
.left {
  min-width: 0;
  padding-right: 24px;
}
.views {
  display: flex;
  gap: 16px;
  align-items: center;
  padding-top: 12px;
}
aside {
  min-width: 0;
  padding: 14px 32px 24px 24px;
  margin-right: -32px;
  border-left: 1px solid var(--line-strong);
  background: var(--sheet);
}
.told {
  padding-top: 20px;
  overflow-wrap: anywhere;
}
.told h2 {
  margin-bottom: 6px;
}
.told p {
  padding: 3px 0;
  font-size: 14px;
  line-height: 19px;
  white-space: pre-line;
}
footer {
  align-items: center;
  display: flex;
  gap: 24px;
  padding-top: 16px;
}
.trouble {
  display: flex;
  gap: 16px;
  align-items: center;
}
@media (width < 1000px) {
  .desk {
    grid-template-columns: minmax(0, 1fr);
  }
  .left {
    padding-right: 0;
  }
  aside {
    margin: 0;
    border-left: 0;
  }
}
@media (width < 900px) {
  main {
    padding: 12px;
  }
  header {
    flex-wrap: wrap;
  }
  header > div {
    flex-basis: 100%;
  }
}
</style>
