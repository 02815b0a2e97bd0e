<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { computed, ref, shallowRef, watch } from 'vue';
import { APPROACHES, APPROACH_LABELS, type ClassWhere } from '#core/catalogue';
import { setClassWhere, setDetails, setUpsToChange, USUAL_PLAN_RULES, type Plan } from '#core/plan';
import { planRulesOf } from '#core/settings';
import CheckField from '../../ui/fields/CheckField.vue';
import ChoiceField from '../../ui/fields/ChoiceField.vue';
import TagsField from '../../ui/fields/TagsField.vue';
import NumberField from '../../ui/fields/NumberField.vue';
import TextField from '../../ui/fields/TextField.vue';
import TimeField from '../../ui/fields/TimeField.vue';
import SelectField from '../../ui/fields/SelectField.vue';
import { listPlanTags } from '../../client/plans';
import { useDemand } from '../../state/demand';
import { useLibrary } from '../../state/library';
import { useSettings } from '../../state/settings';
import GroupPick from './cautions/GroupPick.vue';
import PlacePick from './PlacePick.vue';
import { useShortages } from '../../widgets/props/use-shortages';
import { useEdit } from './use-edit';
import { rulesInWords } from './rules-words';
import { CLASS_WHERE_CHOICES, setUpsChangedInWords } from './where-words';
import DayField from '../../ui/fields/DayField.vue';

const { plan } = defineProps<{ plan: Plan }>();
const visible = defineModel<boolean>('visible', { required: true });
const edit = useEdit();
const demand = useDemand();
const shortages = useShortages();
/** What the wall of the place does not allow, shown where the place is chosen. */
const wall = computed(() =>
  [...shortages.value].flatMap(([index, { wall: line }]) => (line ? [`${plan.steps[index]?.name}: ${line}`] : [])),
);
/** The tags of other plans are offered, where the server can be asked. */
const known = shallowRef<string[]>([]);
watch(
  visible,
  (is) => {
    if (!is) return;
    listPlanTags().then(
      ({ items }) => (known.value = items.map(({ tag }) => tag)),
      () => undefined,
    );
  },
  { immediate: true },
);
const settings = useSettings();
void settings.ready();
/** How long changes take in this plan and with which side it begins, and what Settings would have. */
const usualRules = computed(() => planRulesOf(settings.current));
const rulesDiffer = computed(() => JSON.stringify(plan.rules) !== JSON.stringify(usualRules.value));
const rulesSay = computed(() => rulesInWords(plan.rules ?? USUAL_PLAN_RULES));
const library = useLibrary();
/** Set-ups of the library go with the class, if wanted. */
const withSetUps = ref(true);
const changed = ref('');
function setWhere(where: ClassWhere | ''): void {
  const to = where === '' ? null : where;
  const count = setUpsToChange(plan, to, library.all);
  const issue = edit(setClassWhere(plan, to, library.all, withSetUps.value));
  changed.value = issue ?? (withSetUps.value ? setUpsChangedInWords(count) : '');
}
const approaches = APPROACHES.map((value) => ({ value, label: APPROACH_LABELS[value] }));
</script>

<template>
  <Dialog v-model:visible="visible" modal header="About this plan" dismissable-mask :style="{ width: '560px' }">
    <div class="fields">
      <TextField
        class="wide"
        label="Title"
        autofocus
        :model-value="plan.title"
        :accept="(title) => edit(setDetails({ title }))"
      />
      <div class="wide">
        <span class="small quiet">Approach</span><br />
        <ChoiceField
          label="Approach"
          :options="approaches"
          :model-value="plan.approach"
          @update:model-value="(approach) => edit(setDetails({ approach }))"
        />
      </div>
      <div class="wide"><GroupPick :plan="plan" label="Saved group" /></div>
      <TextField
        label="Group name"
        placeholder="Who comes"
        :model-value="plan.group"
        :accept="(group) => edit(setDetails({ group }))"
      />
      <NumberField
        label="Number of people"
        :model-value="plan.groupSize"
        :accept="(groupSize) => edit(setDetails({ groupSize }))"
      />
      <div class="cupboard wide">
        <PlacePick :plan="plan" label="Saved place" />
        <p v-if="demand.tooMany" class="caution small" role="alert">{{ demand.tooMany }}</p>
        <p v-for="line in wall" :key="line" class="caution small" role="alert">{{ line }}</p>
      </div>
      <TextField label="Place" :model-value="plan.place" :accept="(place) => edit(setDetails({ place }))" />
      <SelectField
        above
        label="Where it takes place"
        :options="CLASS_WHERE_CHOICES"
        :model-value="plan.where ?? ''"
        @update:model-value="setWhere"
      />
      <div class="wide small">
        <CheckField v-model="withSetUps" label="When this changes, change the library set-ups of the steps to suit" />
        <p v-if="changed" class="quiet" role="status">{{ changed }}</p>
      </div>
      <DayField
        time
        label="Date and time"
        :model-value="plan.startsAt ?? ''"
        :accept="(startsAt) => edit(setDetails({ startsAt: startsAt === '' ? null : startsAt }))"
      />
      <div>
        <span class="small quiet">Class length</span><br />
        <TimeField
          hide-label
          label="Class length"
          bare="classMinutes"
          :model-value="plan.classSeconds"
          :accept="(seconds) => edit(setDetails({ classSeconds: seconds ?? 0 }))"
        />
      </div>
      <TextField
        class="wide"
        label="Focus of the class"
        :rows="3"
        :model-value="plan.intent"
        :accept="(intent) => edit(setDetails({ intent }))"
      />
      <TagsField
        class="wide"
        label="Tags"
        :model-value="plan.tags"
        :known="known"
        :accept="(tags) => edit(setDetails({ tags }))"
      />
      <div class="wide small rules">
        <span class="quiet">{{ rulesSay }}</span>
        <button
          v-if="rulesDiffer"
          type="button"
          class="link-button small"
          @click="edit(setDetails({ rules: usualRules }))"
        >
          Use what Settings say
        </button>
      </div>
      <CheckField
        class="wide"
        label="Archived: kept as it is, out of the way of the other plans"
        :model-value="plan.archived"
        @update:model-value="(archived) => edit(setDetails({ archived }))"
      />
    </div>
    <template #footer><Button label="Done" @click="visible = false" /></template>
  </Dialog>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px 16px;
}
.rules {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  align-items: baseline;
}
.wide {
  grid-column: 1 / -1;
}
</style>
