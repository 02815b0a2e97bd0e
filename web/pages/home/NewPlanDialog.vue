<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { computed, ref } from 'vue';
import { z } from 'zod';
import { APPROACH_LABELS, APPROACHES, type Approach } from '#core/catalogue';
import type { FieldIssue } from '#core/document';
import { emptyPlan, Plan, type PlanFile } from '#core/plan';
import { planRulesOf } from '#core/settings';
import { clockOfMs } from '#core/time';
import { TEMPLATES } from '#library';
import { compileTimeline, ribbonBlocks } from '#core/timeline';
import RibbonThumb from '../../widgets/ribbon/RibbonThumb.vue';
import { openPlanFile } from '../../state/files';
import { useLibrary } from '../../state/library';
import { usePlaces } from '../../state/places';
import { useSettings } from '../../state/settings';
import FileButton from '../../ui/fields/FileButton.vue';
import SelectField from '../../ui/fields/SelectField.vue';
import TimeField from '../../ui/fields/TimeField.vue';
import FormText from '../../ui/forms/FormText.vue';
import FormValue from '../../ui/forms/FormValue.vue';
import SentForm from '../../ui/forms/SentForm.vue';

const visible = defineModel<boolean>('visible', { required: true });
const emit = defineEmits<{ make: [file: PlanFile] }>();

const reason = ref('');
const issues = ref<FieldIssue[]>([]);
const library = useLibrary();
const examples = TEMPLATES.map((template) => ({
  ...template,
  timeline: compileTimeline(template.plan, library.all),
})).sort((one, other) => one.plan.classSeconds - other.plan.classSeconds);
/** The shortest first within each approach. */
const groups = APPROACHES.map((approach) => ({
  approach,
  examples: examples.filter(({ plan }) => plan.approach === approach),
})).filter((group) => group.examples.length > 0);

const settings = useSettings();
const places = usePlaces();
void settings.ready();
void places.ready();
const APPROACH_OPTIONS = APPROACHES.map((value) => ({ value, label: APPROACH_LABELS[value] }));
/** An empty title becomes “New plan”, so that nothing has to be typed first. */
const NewPlan = z.strictObject({
  title: z
    .string()
    .transform((title) => title.trim() || 'New plan')
    .pipe(Plan.shape.title),
  approach: Plan.shape.approach,
  classSeconds: Plan.shape.classSeconds,
});
const usual = computed(() => {
  const { approach, classSeconds } = settings.current.usual;
  return { title: '', approach, classSeconds };
});
function blank({ title, approach, classSeconds }: z.infer<typeof NewPlan>): void {
  const { place } = settings.current.usual;
  const at = places.place(place);
  const rules = planRulesOf(settings.current);
  make({ ...emptyPlan(title, approach), classSeconds, rules, ...(at ? { cupboard: place, place: at.name } : {}) });
}

function make(plan: Plan, entries: PlanFile['entries'] = []): void {
  visible.value = false;
  emit('make', { plan, entries });
}
async function openFile(file: File): Promise<void> {
  const opened = await openPlanFile(file);
  [reason.value, issues.value] = opened.ok ? ['', []] : [opened.reason, opened.issues];
  if (opened.ok) make(opened.plan, opened.entries);
}
</script>

<template>
  <Dialog v-model:visible="visible" modal header="New plan" dismissable-mask :style="{ width: '620px' }">
    <!-- What is usual may come after the dialog. -->
    <SentForm
      :key="`${usual.approach} ${usual.classSeconds}`"
      :schema="NewPlan"
      :initial="usual"
      :send="blank"
      class="blank"
    >
      <FormText name="title" label="Title" placeholder="New plan" autofocus />
      <FormValue v-slot="{ value, set }" name="approach">
        <SelectField
          above
          label="Approach"
          :options="APPROACH_OPTIONS"
          :model-value="value as Approach"
          @update:model-value="set"
        />
      </FormValue>
      <FormValue v-slot="{ value, set, problem }" name="classSeconds">
        <TimeField
          class="length"
          label="Class length"
          bare="classMinutes"
          :model-value="Number(value)"
          :problem="problem"
          :accept="(seconds) => void set(seconds ?? usual.classSeconds)"
        />
      </FormValue>
      <Button type="submit" label="Create plan" />
    </SentForm>
    <h2>Or start from an example</h2>
    <section v-for="group in groups" :key="group.approach" :aria-labelledby="`examples-${group.approach}`">
      <h3 :id="`examples-${group.approach}`">{{ APPROACH_LABELS[group.approach] }}</h3>
      <ul>
        <li v-for="{ id, says, plan, timeline } in group.examples" :key="id">
          <button type="button" class="choice" @click="make(plan)">
            <strong>{{ plan.title }}</strong>
            <span class="small quiet">{{ says }} · {{ clockOfMs(timeline.totals.totalMs) }}</span>
            <RibbonThumb
              :ribbon="ribbonBlocks(timeline.phases)"
              :totals="timeline.totals"
              :px-per-ms="330 / 4_500_000"
              :width="336"
              :height="40"
            />
          </button>
        </li>
      </ul>
    </section>
    <h2>Or open a file</h2>
    <p>
      <FileButton label="Open a plan file" types=".json,application/json" @open="openFile" />
      <span class="small quiet">A file that ends in .zovrin.json; or </span>
      <RouterLink to="/import" class="small" @click="visible = false">import your own notes</RouterLink>
    </p>
    <div v-if="reason" class="refused caution" role="alert">
      <p class="strong">{{ reason }}</p>
      <ul>
        <li v-for="(issue, i) in issues.slice(0, 12)" :key="i" class="small">
          {{ issue.field || 'plan' }}: {{ issue.reason }}
        </li>
      </ul>
    </div>
  </Dialog>
</template>

<style scoped>
.blank {
  padding-bottom: 16px;
}
.length {
  flex-direction: column;
  gap: 2px;
  align-items: start;
  font-size: 12.5px;
}
h2 {
  padding: 12px 0 4px;
  font-size: 17px;
  line-height: 24px;
}
h3 {
  padding: 8px 8px 2px;
  color: var(--ink-2);
  font-weight: 600;
  font-size: 13px;
}
.choice {
  display: grid;
  grid-template-columns: 190px 1fr;
  gap: 2px 16px;
  align-items: center;
  width: 100%;
  padding: 12px 8px;
  border: 0;
  border-top: 1px solid var(--line);
  background: none;
  text-align: left;
  cursor: pointer;
}
.choice:hover,
.file:focus-within {
  background: var(--well);
}
.file:focus-within {
  outline: 2px solid var(--focus);
}
.choice svg {
  grid-column: 2;
  max-width: 100%;
}
strong {
  font-weight: 600;
}
.refused {
  margin-top: 12px;
  padding: 10px 12px;
  border: 1px solid var(--caution);
  border-radius: 4px;
  background: var(--caution-soft);
}
@media (width < 640px) {
  .choice {
    grid-template-columns: 1fr;
  }
  .choice svg {
    grid-column: 1;
  }
}
</style>
