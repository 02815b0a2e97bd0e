<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import type { Place } from '#core/cupboard';
import { groupTooLarge, newPlace, propNeeds, readPlace, SETTINGS } from '#core/cupboard';
import { compileTimeline } from '#core/timeline';
import type { ListedPlan } from '#api';
import { placeClient } from '../../client/documents';
import { listAllPlans } from '../../client/plans';
import ChoiceField from '../../ui/fields/ChoiceField.vue';
import SelectField from '../../ui/fields/SelectField.vue';
import TextField from '../../ui/fields/TextField.vue';
import DocumentPage from '../../widgets/documents/DocumentPage.vue';
import { people } from '../../widgets/session/words';
import { sourceOf, useSyncedDocument } from '../../sync/source';
import { useChosenPlan } from '../../state/chosen-plan';
import { useLibrary } from '../../state/library';
import { usePlaces } from '../../state/places';
import ShareButton from '../../widgets/share/ShareButton.vue';
import CustomKindRows from './CustomKindRows.vue';
import RoomFields from './RoomFields.vue';
import StockTable from './StockTable.vue';
import { PLACE_FORMS, writePlace } from './share-place';
import { piecesIn, SETTING_WORDS } from './words';
import { useBinning } from '../../widgets/documents/use-binning';

/** One place: what is in its cupboard, its mats, wall and floor, and what a plan needs of it. */
const { id } = defineProps<{ id: string }>();

const library = useLibrary();
const places = usePlaces();
const synced = useSyncedDocument<Place, Place>({
  ...sourceOf(`place.${id}`, readPlace, placeClient.at(id)),
  initial: newPlace('', 'hall'),
  onSaved: places.changed,
});
const { document, change } = synced;
void synced.ready();

const accept = (name: string, patch: Partial<Place>): string | undefined =>
  change(name, { ...document.value, ...patch });
const deviceZone = Intl.DateTimeFormat().resolvedOptions().timeZone;
const zones = [
  { value: '', label: `as on this device (${deviceZone})` },
  ...Intl.supportedValuesOf('timeZone').map((value) => ({ value, label: value.replaceAll('_', ' ') })),
];
const settings = SETTINGS.map((value) => ({ value, label: SETTING_WORDS[value] }));

const plans = shallowRef<ListedPlan[]>([]);
/** Which plan is compared with the cupboard. */
const planId = ref('');
const planTrouble = ref('');
listAllPlans().then(
  (found) => {
    plans.value = found;
    planId.value = found.find(({ summary }) => summary.cupboard === id)?.id ?? '';
  },
  (error: Error) => (planTrouble.value = error.message),
);
const planChoices = computed(() => [
  { value: '', label: 'no plan' },
  ...plans.value.map(({ id: value, summary }) => ({ value, label: `${summary.title}, ${people(summary.groupSize)}` })),
]);
const { plan, trouble: chosenTrouble } = useChosenPlan(planId);
const needs = computed(() => plan.value && propNeeds(compileTimeline(plan.value, library.all), plan.value.groupSize));
const tooMany = computed(() => (plan.value ? groupTooLarge(document.value, plan.value.groupSize) : ''));

const { remove, bringBack } = useBinning(
  { kind: 'place', id },
  {
    synced,
    remove: placeClient.remove,
    name: () => document.value.name,
    changed: places.changed,
    listPath: '/places',
  },
);
</script>

<template>
  <DocumentPage
    :synced="synced"
    :name="document.name"
    :rename="(name) => accept('rename', { name: name.trim() })"
    back-to="/places"
    back-label="Props & places"
    noun="place"
    @remove="remove"
    @bring-back="bringBack"
  >
    <template #head>
      <ChoiceField
        label="Type of place"
        :options="settings"
        :model-value="document.setting"
        @update:model-value="(setting) => accept('change sort', { setting })"
      />
      <ShareButton
        header="Share this place"
        :name="document.name"
        :forms="PLACE_FORMS"
        :write="(form) => writePlace(form, document)"
        inside="Nothing about people is in a place, but what you wrote in its note is."
      />
    </template>
    <TextField
      hide-label
      label="Note"
      placeholder="A note: the key, the lights, which door sticks"
      :model-value="document.note"
      :accept="(note) => accept('change note', { note })"
    />
    <SelectField
      class="zone"
      label="Time zone of its clocks"
      :options="zones"
      :model-value="document.zone ?? ''"
      @update:model-value="(zone) => accept('change time zone', { zone: zone === '' ? null : zone })"
    />
    <div class="columns">
      <section aria-label="Props">
        <div class="against">
          <h2>
            Props <span class="small quiet">{{ piecesIn(document) }} pieces</span>
          </h2>
          <SelectField v-if="plans.length > 1" v-model="planId" label="compare with" :options="planChoices" />
        </div>
        <p v-if="planTrouble || chosenTrouble" class="caution small" role="alert">{{ planTrouble || chosenTrouble }}</p>
        <p v-if="plan" class="small">
          <RouterLink :to="`/plans/${planId}/props`">What “{{ plan.title }}” needs, step by step</RouterLink>
          <span v-if="tooMany" class="caution strong" role="alert"> · {{ tooMany }}</span>
        </p>
        <StockTable :place="document" :needs="needs" :accept="accept" />
        <CustomKindRows :place="document" :accept="accept" />
      </section>
      <section aria-label="The room">
        <RoomFields :place="document" :accept="accept" />
      </section>
    </div>
  </DocumentPage>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 6fr) minmax(0, 5fr);
  gap: 40px;
  margin-top: 6px;
}
.against {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
  justify-content: space-between;
}
.against :deep(select) {
  max-width: 250px;
}
h2 {
  font-size: 19px;
  line-height: 26px;
}
@media (width < 980px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
    gap: 12px;
  }
}
</style>
