<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { ribbonBlocks } from '#core/timeline';
import type { About } from '#api';
import { readAbout } from '../../client/sample';
import { useLibrary } from '../../state/library';
import { usePageTitle } from '../../ui/page-title';
import PositionFigure from '../../widgets/figures/PositionFigure.vue';
import { useExample } from '../../widgets/session/use-example';
import RibbonThumb from '../../widgets/ribbon/RibbonThumb.vue';
import { GLOSSARY } from './glossary';

/** How it works, with pictures that are drawn as everywhere else; the words; which version this is and where data lies. */
const library = useLibrary();
const example = useExample();
const position = computed(() => library.all.position('head-to-knee'));

const about = ref<About>();
const trouble = ref('');
onMounted(async () => {
  try {
    about.value = await readAbout();
  } catch (error) {
    trouble.value = (error as Error).message;
  }
});
usePageTitle(() => ['How it works']);
</script>

<template>
  <main class="help">
    <h1>How it works</h1>
    <section aria-labelledby="plan-help">
      <h2 id="plan-help">1. Write the plan</h2>
      <p>
        Type what you would say: a position, a breath, rest, talk. Each step brings its usual length, sides and props;
        change what differs. The ribbon shows the class along time: a left side rises above the line, a right side hangs
        below it, a hold for both sides lies across, and breath is drawn as its waves. A lopsided ribbon is a lopsided
        class.
      </p>
      <RibbonThumb
        v-if="example"
        :ribbon="ribbonBlocks(example.phases)"
        :totals="example.totals"
        :px-per-ms="700 / example.totals.totalMs"
        :width="720"
        :height="64"
      />
    </section>
    <section aria-labelledby="check-help" class="beside">
      <div>
        <h2 id="check-help">2. Check it</h2>
        <p>
          The total stands against the class length; <em>Fit</em> shortens what may be shortened, by exact arithmetic.
          <em>Props</em> compares what everyone needs with what the place has, and offers solutions. <em>Cautions</em>
          shows for whom of your group a step needs care, with an easier way. Figures are drawn to scale with their
          props, for any body height, and say what was measured: where the head is against the heart, and what hangs
          free.
        </p>
        <p class="small quiet">
          Cautions are the usual ones. They are not medical advice: with a condition, ask a doctor or a licensed
          practitioner.
        </p>
      </div>
      <div v-if="position" class="figure">
        <PositionFigure
          :position="position"
          :set-up="position.setUps[0]?.items ?? []"
          :label="`${position.names.english}, drawn with its props`"
        />
      </div>
    </section>
    <section aria-labelledby="teach-help">
      <h2 id="teach-help">3. Lead the class</h2>
      <p>
        <em>Teach</em> shows the side, the time and what comes next, large enough to read from two metres in the dark.
        Make a hold longer and the second side follows; if you run late, <em>Catch up</em> refits what is still to come.
        Phones in the room may look on.
      </p>
    </section>
    <section aria-labelledby="record-help">
      <h2 id="record-help">4. Keep the record</h2>
      <p>
        Afterwards <em>History</em> shows what was planned and what was held, side by side, and suggests one thing for
        next time. Trends add up weeks: areas, sides, minutes of breath.
      </p>
    </section>
    <section aria-labelledby="course-help">
      <h2 id="course-help">5. Make a course of it</h2>
      <p>
        <RouterLink to="/courses">Courses</RouterLink> take one plan through several weeks: holds lengthen, a breath
        moves up the ladder, a stack gets lower, a prop leaves earlier, something new comes in. Each class that was
        taught decides what the next can be, so a breath moves on only once the one before it was easy. Something new
        waits for what usually comes before it. Open a week to change it for that week, from there on, or in the whole
        course; an edit of one week can go further later, and you see what follows before it does. When a class is
        missed, you see what each way of going on would change.
      </p>
    </section>
    <section aria-labelledby="share-help">
      <h2 id="share-help">6. Hand it over</h2>
      <p>
        <em>Share</em> gives a plan out as a page that leads a student at home, as plain text, a calendar file,
        captions, sound or a letter; sessions, library entries, places and people too. Letters wait in the
        <RouterLink to="/outbox">outbox</RouterLink>. <RouterLink to="/import">Import</RouterLink> reads notes as you
        would type them, plan files, dates from a calendar, a table of people and the captions of a class that was
        filmed, and shows what it understood before anything is saved. Captions become a plan, or a session in History
        with what was announced against what was led. Keep a
        <RouterLink to="/settings?group=backup">backup</RouterLink> elsewhere.
      </p>
    </section>
    <section aria-labelledby="words-help">
      <h2 id="words-help">Words used here</h2>
      <dl>
        <template v-for="{ word, means } in GLOSSARY" :key="word">
          <dt>{{ word }}</dt>
          <dd>{{ means }}</dd>
        </template>
      </dl>
      <p>Press <kbd>?</kbd> anywhere for the keyboard shortcuts.</p>
    </section>
    <section aria-labelledby="about-help">
      <h2 id="about-help">About Zovrin</h2>
      <p v-if="trouble" class="caution" role="alert">{{ trouble }}</p>
      <dl v-else-if="about">
        <dt>version</dt>
        <dd>{{ about.version }}</dd>
        <dt>data</dt>
        <dd>
          <code>{{ about.database }}</code>
        </dd>
        <dt>backups</dt>
        <dd>
          <code>{{ about.backups }}</code>, one a day; more in
          <RouterLink to="/settings?group=backup">Settings, Backup</RouterLink>
        </dd>
      </dl>
      <p v-else class="quiet" role="status">Loading…</p>
      <p>
        Everything stays on this machine; nothing is sent anywhere. What you type while the server cannot be reached is
        kept in this browser and saved when it is back.
      </p>
    </section>
  </main>
</template>

<style scoped>
.help {
  max-width: 860px;
  padding: 18px 32px 48px;
}
h1 {
  font-size: 27px;
  line-height: 34px;
}
h2 {
  padding-bottom: 4px;
  font-size: 19px;
  line-height: 26px;
}
section {
  padding: 18px 0 14px;
  border-bottom: 1px solid var(--line);
}
section:last-child {
  border-bottom: 0;
}
p {
  max-width: 640px;
  padding: 2px 0;
}
em {
  font-style: normal;
  font-weight: 600;
}
.beside {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 280px;
  gap: 28px;
}
.figure {
  height: 190px;
}
dl {
  display: grid;
  grid-template-columns: max-content minmax(0, 1fr);
  gap: 3px 20px;
  margin: 4px 0 10px;
}
dt {
  font-weight: 600;
}
dd {
  margin: 0;
  overflow-wrap: anywhere;
}
svg {
  max-width: 100%;
}
@media (width < 700px) {
  .help {
    padding: 12px 16px 32px;
  }
  .beside {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
