<script setup lang="ts">
import { computed } from 'vue';
import { easyBreath, offeredCount, ratioInWords, smallestRatio } from '#core/breath';
import { classMatrix, NOTHING_DECIDED } from '#core/caution';
import {
  tooEarlyFor,
  valueInWords,
  weekName,
  type Course,
  type CourseSession,
  type CourseSettings,
} from '#core/course';
import type { WorkedOutCourse } from '#core/jobs';
import { easySessions } from '#core/review';
import { today } from '../../state/days';
import { useKnowledge } from '../../state/knowledge';
import { usePeople } from '../../state/people';
import { useSettings } from '../../state/settings';
import RecordTable from '../../ui/RecordTable.vue';
import NotAdvice from '../../widgets/cautions/NotAdvice.vue';
import { weekTitle } from '../../widgets/courses/follows-words';
import { levelAt } from './words';

/** The people of a course: what to decide for whom in the weeks to come, and who is ready for which breath. */
const { course, worked, sessions, members, taught, rules } = defineProps<{
  course: Course;
  worked: WorkedOutCourse;
  sessions: readonly CourseSession[];
  members: readonly string[];
  taught: ReadonlySet<number>;
  rules: Pick<CourseSettings, 'ladder' | 'growth'>;
}>();
const people = usePeople();
const known = useKnowledge();
const settings = useSettings();

const inGroup = computed(() => people.of(members));
const cautions = computed(() =>
  worked.weeks
    .filter(({ week }) => !taught.has(week))
    .map(({ week, plan, held }) => {
      const day = held.startsAt?.slice(0, 10) ?? today();
      const { rows } = classMatrix(plan, inGroup.value, NOTHING_DECIDED, known.knowledge, day);
      const found = rows.flatMap(({ personId, cells }) => {
        const steps = cells.flatMap(({ level }, i) =>
          level === null ? [] : [plan.steps[i]?.name.split(',')[0] ?? ''],
        );
        return steps.length > 0 ? [`${people.shown(personId)}: ${steps.join(', ')}`] : [];
      });
      return { id: String(week), week, who: found };
    }),
);
type Row = (typeof cautions.value)[number];
const COLUMNS = [
  { key: 'week', label: 'Week', of: ({ week }: Row) => week },
  { key: 'who', label: 'Cautions for', of: ({ who }: Row) => who.join('; ') },
];
/** The breaths that grow, with where everybody stands. */
const breaths = computed(() =>
  worked.threads.flatMap((one) => {
    if (one.thread.kind !== 'breath') return [];
    const week = worked.weeks.find((drawn) => !taught.has(drawn.week))?.week;
    const now = week === undefined ? undefined : levelAt(one, week);
    if (week === undefined || now === undefined || typeof now === 'number') return [];
    const early = new Map(
      tooEarlyFor(one, week, members, sessions, rules.ladder).map(({ person, instead }) => [person, instead]),
    );
    const ratio = smallestRatio(now);
    const rows = inGroup.value.map(({ id, person }) => {
      const measures = person.breaths.map(easyBreath);
      const [first, last] = [measures[0], measures.at(-1)];
      const offer = last && offeredCount(last, ratio, settings.current.breath.offer);
      const instead = early.get(id);
      return {
        id,
        name: people.shown(id),
        came: sessions.filter((session) => session.people.includes(id)).length,
        easy: easySessions(sessions, ratio, id),
        has:
          instead === undefined
            ? valueInWords(one.thread, now)
            : instead
              ? valueInWords(one.thread, instead)
              : 'none of it',
        isEarly: instead !== undefined,
        measured:
          !first || !last
            ? ''
            : first === last
              ? `out ${last.out.toFixed(1)} s`
              : `out ${first.out.toFixed(1)} s to ${last.out.toFixed(1)} s`,
        suits: !offer ? 'not measured' : offer.ok ? 'yes' : offer.reason,
      };
    });
    return [{ key: one.thread.id, title: `${ratioInWords(now)} in ${weekName(course, week)}`, rows }];
  }),
);
type BreathRow = (typeof breaths.value)[number]['rows'][number];
const BREATH = [
  { key: 'name', label: 'Who', of: ({ name }: BreathRow) => name },
  { key: 'came', label: 'Sessions', number: true, of: ({ came }: BreathRow) => came },
  { key: 'easy', label: 'Easy at it', number: true, of: ({ easy }: BreathRow) => easy },
  { key: 'has', label: 'Ready for', of: ({ has }: BreathRow) => has },
  { key: 'measured', label: 'Measured', of: ({ measured }: BreathRow) => measured },
  { key: 'suits', label: 'Suits what was measured', of: ({ suits }: BreathRow) => suits },
];
</script>

<template>
  <p v-if="course.base.plan.groupId === null" class="quiet">
    No saved group is chosen. Open the first {{ course.unit }} and choose one under its title, to see here who is in it.
  </p>
  <p v-else-if="inGroup.length === 0" class="quiet">
    Nobody is in the group. <RouterLink :to="`/people/groups/${course.base.plan.groupId}`">Add people to it</RouterLink>
  </p>
  <template v-else>
    <h3>Cautions in the classes to come</h3>
    <RecordTable name="course-cautions" label="Cautions" :columns="COLUMNS" :rows="cautions" unsearched>
      <template #week="{ row }">{{ weekTitle(course, row.week) }}</template>
      <template #who="{ row }">
        <span v-if="row.who.length === 0" class="quiet">nobody</span>
        <span v-for="line in row.who" v-else :key="line" class="line">{{ line }}</span>
      </template>
    </RecordTable>
    <p class="small quiet">
      What to do instead is decided in the plan of the class: “Cautions of this class” in its menu.
    </p>
    <NotAdvice />
    <template v-for="one in breaths" :key="one.key">
      <h3>Who is ready for {{ one.title }}</h3>
      <RecordTable name="course-breath" label="Who is ready" :columns="BREATH" :rows="one.rows" unsearched>
        <template #has="{ row }"
          ><span :class="{ caution: row.isEarly }">{{ row.has }}</span></template
        >
      </RecordTable>
    </template>
  </template>
</template>

<style scoped>
h3 {
  padding-top: 10px;
  font-size: 15px;
  line-height: 20px;
}
.line {
  display: block;
}
</style>
