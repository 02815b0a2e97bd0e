<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { computed, shallowRef, watch } from 'vue';
import {
  readAim,
  sameAs,
  suggestedAim,
  threadRefusal,
  threadWeeks,
  valueInWords,
  weekName,
  whatCanGrow,
  type Course,
  type CourseRecord,
  type CourseSettings,
  type Thread,
} from '#core/course';
import { ratioInWords } from '#core/breath';
import { newId } from '../../client/new-id';
import { useLibrary } from '../../state/library';
import NumberField from '../../ui/fields/NumberField.vue';
import SelectField from '../../ui/fields/SelectField.vue';
import TextField from '../../ui/fields/TextField.vue';
import TimeField from '../../ui/fields/TimeField.vue';
import NewThreadFields from './NewThreadFields.vue';
import ThreadCurve from './ThreadCurve.vue';
import { outcomeOf } from './words';

/** One thing that grows over a course: what, how far, and by when; with what becomes of it. Nothing changes until it is saved. */
const { course, record, rules, edited } = defineProps<{
  course: Course;
  record: CourseRecord;
  rules: Pick<CourseSettings, 'ladder' | 'growth'>;
  /** The thread that is changed; undefined for one that is added. */
  edited: Thread | undefined;
  /** Returns why it is refused; undefined where it was taken. */
  save: (thread: Thread) => string | undefined;
}>();
const visible = defineModel<boolean>('visible', { required: true });

const library = useLibrary();
const candidates = computed(() => whatCanGrow(course.base.plan, library.all));
const draft = shallowRef<Thread>();
const refused = shallowRef('');
/** What was typed and refused by its field: there is no draft of it. */
const isFieldWrong = shallowRef(false);

const NEW = 'new';
const GROUPS = [
  { kind: 'length', label: 'Lengths' },
  { kind: 'stage', label: 'Stages: a prop that leaves earlier' },
  { kind: 'breath', label: 'Breaths' },
  { kind: 'props', label: 'Props: fewer pieces' },
  { kind: 'talk', label: 'Stillness' },
] as const;
const isStage = (thread: Thread): boolean => thread.kind === 'length' && thread.of.kind === 'stage';
const groups = computed(() => [
  { label: 'New', items: [{ value: NEW, label: 'A position or breath that comes later' }] },
  ...GROUPS.map(({ kind, label }) => ({
    label,
    items: candidates.value
      .filter(({ still }) => (isStage(still) ? kind === 'stage' : still.kind === kind))
      .map(({ key, name }) => ({ value: key, label: kind === 'talk' ? 'Less talk, more stillness' : name })),
  })).filter(({ items }) => items.length > 0),
]);
const chosen = computed(() => {
  const now = draft.value;
  if (!now) return null;
  return now.kind === 'new' ? NEW : (sameAs(now, candidates.value)?.key ?? null);
});
function choose(key: string): void {
  [refused.value, isFieldWrong.value] = ['', false];
  const id = draft.value?.id ?? newId();
  if (key === NEW) {
    const week = Math.min(2, course.weeks);
    draft.value = { id, kind: 'new', entry: '', week, after: course.base.plan.steps[0]?.id ?? null, needs: [] };
    return;
  }
  const found = candidates.value.find((one) => one.key === key);
  if (found) draft.value = { ...suggestedAim(found.still, course.weeks), id };
}
/** What is most often asked for: the longest hold, which is the rest at the end, or else whatever comes first. */
function suggest(): void {
  const isFree = candidates.value.filter(
    ({ still }) => !course.threads.some((one) => sameAs(one, candidates.value)?.still === still),
  );
  const longest = isFree
    .filter(({ still }) => still.kind === 'length' && still.of.kind === 'step')
    .sort((a, b) => Number(b.still.from) - Number(a.still.from))[0];
  const first = longest ?? isFree[0];
  choose(first?.key ?? NEW);
}
watch(
  visible,
  (is) => {
    if (!is) return;
    [draft.value, refused.value, isFieldWrong.value] = [edited, '', false];
    if (!edited) suggest();
  },
  { immediate: true },
);

function put(patch: Partial<Thread>): undefined {
  if (draft.value) draft.value = { ...draft.value, ...patch } as Thread;
  [refused.value, isFieldWrong.value] = ['', false];
  return undefined;
}
function putBreath(typed: string, end: 'from' | 'to'): string | undefined {
  if (draft.value?.kind !== 'breath') return undefined;
  const read = readAim(draft.value, typed);
  isFieldWrong.value = !read.ok;
  return read.ok ? put({ [end]: read.to }) : read.reason;
}
function putWeek(week: number, patch: Partial<Thread>): string | undefined {
  if (week < 1 || week > course.weeks || !Number.isInteger(week)) {
    isFieldWrong.value = true;
    return `The course has ${course.weeks} ${course.unit}s.`;
  }
  return put(patch);
}
const GRIDS = [5, 15, 30, 60].map((value) => ({ value, label: `${value} seconds` }));

/** How it would grow, worked out as it is typed. */
const preview = computed(() => {
  const now = draft.value;
  if (!now || now.kind === 'new' || threadRefusal(now)) return undefined;
  return threadWeeks({ ...course, threads: [now] }, record, { library: library.all, ...rules })[0];
});
const taught = computed(() => new Set(record.taught.map(({ week }) => week)));
const outcome = computed(() => preview.value && outcomeOf(preview.value));

function keep(save: (thread: Thread) => string | undefined): void {
  const now = draft.value;
  if (!now || isFieldWrong.value) return;
  refused.value =
    (now.kind === 'new' && now.entry === '' ? 'Choose what comes new.' : undefined) ??
    threadRefusal(now) ??
    save(now) ??
    '';
  if (refused.value === '') visible.value = false;
}
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    :header="edited ? 'What grows' : 'Add something that grows'"
    :style="{ width: 'min(560px, 94vw)' }"
  >
    <form v-if="draft" id="thread-form" class="fields" novalidate @submit.prevent="keep(save)">
      <SelectField
        class="wide"
        above
        label="What grows"
        :groups="groups"
        :model-value="chosen"
        @update:model-value="choose"
      />
      <NewThreadFields
        v-if="draft.kind === 'new'"
        :course="course"
        :draft="draft"
        :accept-week="(week) => putWeek(week, { week })"
        @put="put"
      />
      <template v-else>
        <p v-if="draft.kind !== 'breath'" class="wide quiet small">
          The first plan has {{ valueInWords(draft, draft.from)
          }}{{ draft.kind === 'length' && !isStage(draft) ? ' a side, or together' : '' }}.
          <template v-if="isStage(draft)"
            >The stage next to it takes up the difference, so the hold keeps its length.</template
          >
        </p>
        <template v-if="draft.kind === 'length'">
          <TimeField
            label="To"
            bare="minutes"
            :model-value="draft.to"
            :accept="(to) => put({ to: to ?? 0 } as Partial<Thread>)"
          />
          <SelectField
            label="in steps of"
            :options="GRIDS"
            :model-value="draft.grid"
            @update:model-value="(grid) => put({ grid } as Partial<Thread>)"
          />
          <TimeField
            label="At most a week"
            bare="minutes"
            :model-value="draft.mostAWeek"
            :accept="(mostAWeek) => put({ mostAWeek: mostAWeek ?? 0 } as Partial<Thread>)"
          />
        </template>
        <template v-else-if="draft.kind === 'breath'">
          <TextField
            label="From"
            :model-value="ratioInWords(draft.from)"
            :accept="(typed) => putBreath(typed, 'from')"
          />
          <TextField label="To" :model-value="ratioInWords(draft.to)" :accept="(typed) => putBreath(typed, 'to')" />
          <NumberField
            label="easy sessions a week"
            :model-value="draft.easyAWeek"
            :accept="(easyAWeek) => put({ easyAWeek })"
          />
          <p class="wide quiet small">
            In, hold full, out, hold empty. A ratio opens once the one before it was easy often enough; what is counted
            is what was noted after the sessions.
          </p>
        </template>
        <NumberField
          v-else-if="draft.kind === 'props'"
          label="to pieces"
          :model-value="draft.to"
          :accept="(to) => put({ to } as Partial<Thread>)"
        />
        <NumberField
          v-else
          label="to"
          unit="% of the class"
          :model-value="draft.to"
          :accept="(to) => put({ to } as Partial<Thread>)"
        />
        <NumberField
          :label="`by ${course.unit}`"
          :model-value="draft.byWeek"
          :accept="(byWeek) => putWeek(byWeek, { byWeek } as Partial<Thread>)"
        />
        <div v-if="preview" class="wide">
          <ThreadCurve :course="course" :thread="preview" :taught="taught" />
          <p role="status" class="small" :class="outcome ? 'caution strong' : 'quiet'">
            {{ outcome || `Reached by ${weekName(course, draft.byWeek)}.` }}
          </p>
        </div>
      </template>
      <p v-if="refused" class="caution wide" role="alert">{{ refused }}</p>
    </form>
    <template #footer>
      <Button label="Cancel" outlined @click="visible = false" />
      <Button type="submit" form="thread-form" :label="edited ? 'Save' : 'Add'" />
    </template>
  </Dialog>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px 16px;
  align-items: end;
}
.wide {
  grid-column: 1 / -1;
}
@media (width < 480px) {
  .fields {
    grid-template-columns: 1fr;
  }
}
</style>
