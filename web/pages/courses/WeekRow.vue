<script setup lang="ts">
import { computed } from 'vue';
import {
  tooEarlyFor,
  valueInWords,
  weekName,
  type Course,
  type CourseClass,
  type CourseSession,
  type CourseSettings,
} from '#core/course';
import type { DrawnWeek, WorkedOutCourse } from '#core/jobs';
import { clockOfMs } from '#core/time';
import type { MenuAction } from '../../ui/menus/menu-action';
import { useLibrary } from '../../state/library';
import { usePeople } from '../../state/people';
import ActionMenu from '../../ui/menus/ActionMenu.vue';
import RibbonThumb from '../../widgets/ribbon/RibbonThumb.vue';
import { balanceInWords } from '../../widgets/session/words';
import { weekTitle } from '../../widgets/courses/follows-words';
import { classDay, missedInWords, weekInWords } from './words';

/** One class of a course as a row: its day, who came, its ribbon, and what is different in it. */
const {
  courseId,
  course,
  held,
  drawn,
  worked,
  pxPerMs,
  taught,
  came,
  isNext,
  members,
  sessions,
  rules,
  note,
  actions,
} = defineProps<{
  courseId: string;
  course: Course;
  held: CourseClass;
  drawn: DrawnWeek | undefined;
  worked: WorkedOutCourse | undefined;
  pxPerMs: number;
  taught: boolean;
  /** How many came; null where that is not known. */
  came: number | null;
  isNext: boolean;
  /** Ids of the people in its group. */
  members: readonly string[];
  sessions: readonly CourseSession[];
  rules: Pick<CourseSettings, 'ladder' | 'growth'>;
  /** A remark about its plan; empty for none. */
  note: string;
  actions: readonly (readonly MenuAction[])[];
}>();
defineSlots<{ default?: () => unknown }>();

const library = useLibrary();
const people = usePeople();
const title = computed(() => (held.week === null ? 'Missed' : weekTitle(course, held.week)));
const theme = computed(() => course.themes.find(({ week }) => week === held.week)?.theme ?? '');
const words = computed(() =>
  worked && held.week !== null && !held.missed ? weekInWords(course, worked, held.week, library.all) : [],
);
const attendance = computed(() => (came === null ? (taught ? 'taught' : isNext ? 'next' : '') : `${came} came`));
const wrong = computed(() => (drawn?.misfits ?? []).map(({ reason }) => reason));
/** Who has something else than the group in the next class, by what they have; for those after it there is still time. */
const early = computed(() => {
  const { week } = held;
  if (!worked || week === null || !isNext) return [];
  return worked.threads.flatMap((one) => {
    const found = tooEarlyFor(one, week, members, sessions, rules.ladder);
    const ways = new Map<string, string[]>();
    for (const { person, instead } of found) {
      const way = instead ? valueInWords(one.thread, instead) : 'without this breath';
      ways.set(way, [...(ways.get(way) ?? []), people.shown(person)]);
    }
    return [...ways].map(([way, who]) => `For ${who.join(', ')} a step earlier: ${way}`);
  });
});
const length = computed(() => {
  if (!drawn) return '';
  const { totalMs, targetMs } = drawn.totals;
  const lengths = totalMs === targetMs ? clockOfMs(totalMs) : `${clockOfMs(totalMs)} of ${clockOfMs(targetMs)}`;
  return lengths;
});
const balance = computed(() => (drawn ? balanceInWords(drawn) : ''));
const over = computed(() => {
  if (!drawn || drawn.overMs === 0) return '';
  const by = clockOfMs(Math.abs(drawn.overMs));
  return drawn.overMs > 0 ? `${by} too long at its shortest` : `${by} too short at its longest`;
});
</script>

<template>
  <li :class="{ next: isNext, missed: held.missed }" :aria-current="isNext ? 'date' : undefined">
    <span class="count numeral" aria-hidden="true">{{ held.number }}</span>
    <span class="when">
      <RouterLink
        v-if="drawn"
        :to="`/courses/${courseId}/weeks/${drawn.week}`"
        class="strong"
        :aria-label="`Open ${weekName(course, drawn.week)}, ${classDay(course, held)}`"
        >{{ classDay(course, held) }}</RouterLink
      >
      <s v-else class="strong">{{ classDay(course, held) }}</s>
      <span class="small quiet">
        <template v-if="held.week !== null && (held.week !== held.number || course.unit === 'session')">{{
          title
        }}</template>
        <template v-if="held.week !== null && (held.week !== held.number || course.unit === 'session') && attendance">
          ·
        </template>
        {{ attendance }}
      </span>
    </span>
    <RibbonThumb
      v-if="drawn"
      class="thumb"
      :ribbon="drawn.ribbon"
      :totals="drawn.totals"
      :px-per-ms="pxPerMs"
      :width="232"
      :height="44"
    />
    <span v-else class="thumb" />
    <div class="says">
      <p v-if="held.missed" class="quiet">{{ missedInWords(course, held) }}</p>
      <p v-else>
        <template v-for="(word, i) in words" :key="i"
          ><template v-if="i > 0"> · </template><span :class="{ strong: word.isNew }">{{ word.text }}</span></template
        >
      </p>
      <p v-if="theme" class="small quiet">{{ theme }}</p>
      <!-- Nobody’s initials go onto the wall. -->
      <p v-for="line in [...early, ...wrong]" :key="line" class="small caution screen-only">{{ line }}</p>
      <p v-if="over" class="small caution screen-only">{{ over }}</p>
      <p v-if="note" class="small caution screen-only">{{ note }} <slot /></p>
    </div>
    <span class="figures small quiet">
      <span>{{ length }}</span>
      <span v-if="balance">{{ balance }}</span>
    </span>
    <span class="menu screen-only">
      <ActionMenu
        :label="`More for ${held.week === null ? classDay(course, held) : weekName(course, held.week)}`"
        :groups="actions"
      />
    </span>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 34px 116px 232px minmax(0, 1fr) auto auto;
  gap: 14px;
  align-items: center;
  min-height: 54px;
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
}
.next {
  margin: 0 -32px;
  padding: 4px 32px;
  background: var(--sheet);
}
.count {
  color: var(--ink-2);
  font-size: 20px;
  text-align: right;
}
.when,
.figures {
  display: flex;
  flex-direction: column;
}
.figures {
  text-align: right;
}
.missed .count,
.missed s {
  color: var(--ink-3);
}
.says p {
  overflow-wrap: anywhere;
}
.thumb {
  max-width: 100%;
}
@media (width < 900px) {
  li {
    grid-template:
      'count when menu' auto
      '. thumb thumb' auto
      '. says says' auto
      '. figures figures' auto / 28px minmax(0, 1fr) auto;
    gap: 4px 10px;
  }
  .count {
    grid-area: count;
  }
  .when {
    grid-area: when;
  }
  .thumb {
    grid-area: thumb;
  }
  .says {
    grid-area: says;
  }
  .figures {
    flex-direction: row;
    gap: 10px;
    grid-area: figures;
    text-align: left;
  }
  .menu {
    grid-area: menu;
  }
  span.thumb {
    display: none;
  }
}
@media (width < 640px) {
  .next {
    margin: 0 -16px;
    padding: 4px 16px;
  }
}
@media print {
  li {
    min-height: 0;
    break-inside: avoid;
  }
}
</style>
