<script setup lang="ts">
import { useClipboard } from '@vueuse/core';
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { computed, ref } from 'vue';
import { ORDINARY } from '#core/body';
import { toMs } from '#core/numbers';
import { useEditor } from '../../../state/editor';
import { saveFile, saveText } from '../../../state/files';
import { useLibrary } from '../../../state/library';
import { useNameIndex } from '../../../state/name-index';
import { usePeople } from '../../../state/people';
import { usePlaces } from '../../../state/places';
import { useScreening } from '../../../state/screening';
import AppIcon from '../../../ui/AppIcon.vue';
import CheckField from '../../../ui/fields/CheckField.vue';
import RadioField from '../../../ui/fields/RadioField.vue';
import SelectField from '../../../ui/fields/SelectField.vue';
import TimeField from '../../../ui/fields/TimeField.vue';
import FoldedPart from '../../../ui/FoldedPart.vue';
import { overlays } from '../../../ui/overlays';
import { FORM_LABELS, FORMS, writtenAs, type Form, type Written } from './forms';
import HandoutOptions from './HandoutOptions.vue';
import SoundFile from './SoundFile.vue';
import SoundOptions from './SoundOptions.vue';
import { useHandout } from './use-handout';
import { useSound } from './use-sound';

/** Hands a plan over in one of several forms, after it has been seen. */
const visible = defineModel<boolean>('visible', { required: true });

const editor = useEditor();
const library = useLibrary();
const names = useNameIndex();
const form = ref<Form>('file');
const options = FORMS.map((value) => ({ value, label: FORM_LABELS[value].label }));

const ALARMS = [
  { value: -1, label: 'none' },
  { value: 10, label: '10 minutes before' },
  { value: 60, label: 'an hour before' },
  { value: 1440, label: 'a day before' },
];
const alarm = ref(-1);
const cancelled = ref(false);
const places = usePlaces();
void places.ready();
/** The zone of the clock on the wall of the place, or of this device where the place has none. */
const zone = computed(
  () => places.place(editor.plan?.cupboard ?? null)?.zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone,
);
const withMark = ref(false);
const withNotes = ref(false);
const hasNotes = computed(() => editor.plan?.steps.some(({ note }) => note !== '') ?? false);
const filmFirst = ref<'film' | 'class'>('film');
const offsetSeconds = ref(0);
const isFilm = computed(() => ['captions', 'chapters', 'counts'].includes(form.value));

const words = ref('');
const household = ref(true);
const person = ref('');
const alternatives = ref(false);
const people = usePeople();
const screening = useScreening();
const handout = useHandout(() => {
  const { plan } = editor;
  if (!visible.value || form.value !== 'handout' || !plan) return undefined;
  const theirs = person.value !== '' && alternatives.value ? screening.versionOf(person.value)?.plan : undefined;
  const known = people.byId.get(person.value);
  const body = known?.statureCm
    ? { statureCm: known.statureCm, flexibility: known.flexibility ?? ORDINARY }
    : undefined;
  return { plan: theirs ?? plan, words: words.value, household: household.value, body };
});

const sound = useSound(() => (visible.value ? editor.timeline : undefined));

const written = computed((): Written | { missing: string } | undefined => {
  const { plan, timeline } = editor;
  // The zone and the moment are read anew for every file.
  if (!visible.value || !plan || !timeline) return undefined;
  if (form.value === 'sound') return undefined;
  if (form.value === 'handout')
    return handout.page.value ?? (handout.trouble.value ? { missing: handout.trouble.value } : undefined);
  const shared = {
    id: editor.id,
    revision: editor.revision,
    plan,
    timeline,
    library: library.all,
    names: names.index,
    own: library.own,
    zone: zone.value,
    nowMs: Date.now(),
  };
  return writtenAs(form.value, shared, {
    offsetMs: toMs(offsetSeconds.value) * (filmFirst.value === 'film' ? 1 : -1),
    withMark: withMark.value,
    withNotes: withNotes.value,
    alarmMinutes: alarm.value < 0 ? null : alarm.value,
    cancelled: cancelled.value,
  });
});
const text = computed(() => (written.value && 'text' in written.value ? written.value.text : ''));
const notInIt = computed(() => (written.value && 'notInIt' in written.value ? (written.value.notInIt ?? []) : []));
const notInItTitle = computed(() =>
  notInIt.value.length === 1
    ? '1 thing is not in this outline'
    : `${notInIt.value.length} things are not in this outline`,
);
const missing = computed(() => (written.value && 'missing' in written.value ? written.value.missing : ''));
/** As much as is read before it is taken; a long file is not drawn whole. */
const PREVIEW = 6000;
const preview = computed(() => text.value.slice(0, PREVIEW));

/** What goes along that somebody might not want to hand over, by form. */
const GOES_ALONG: Partial<Record<Form, string>> = {
  file: ' What you wrote in the notes of the steps does, and so does the group’s name.',
};
const inside = computed(
  () => `Nobody’s name, condition or note about a person goes with it.${GOES_ALONG[form.value] ?? ''}`,
);

const { copy, copied, isSupported } = useClipboard({ copiedDuring: 3000 });
const ready = computed(() => (form.value === 'sound' ? sound.file.value !== undefined : text.value !== ''));
function download(): void {
  if (form.value === 'sound' && sound.file.value)
    saveFile(sound.file.value, editor.plan?.title ?? '', `.${sound.format.value}`);
  if (written.value && 'text' in written.value)
    saveText(written.value.text, editor.plan?.title ?? '', written.value.ending, written.value.type);
}
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    dismissable-mask
    :append-to="overlays()"
    header="Share this plan"
    :style="{ width: '820px' }"
  >
    <div class="share">
      <div class="forms">
        <RadioField v-model="form" label="Form" :options="options" />
        <p class="small quiet">{{ FORM_LABELS[form].says }}</p>
        <div v-if="isFilm" class="options">
          <RadioField
            v-model="filmFirst"
            label="Which begins first"
            :options="[
              { value: 'film', label: 'The film begins first' },
              { value: 'class', label: 'The class begins first' },
            ]"
          />
          <TimeField
            label="by"
            :model-value="offsetSeconds"
            :accept="
              (seconds) => {
                offsetSeconds = seconds ?? 0;
                return undefined;
              }
            "
          />
        </div>
        <HandoutOptions
          v-if="form === 'handout'"
          v-model:words="words"
          v-model:household="household"
          v-model:person="person"
          v-model:alternatives="alternatives"
        />
        <SoundOptions v-if="form === 'sound'" v-model:wanted="sound.wanted.value" v-model:format="sound.format.value" />
        <CheckField v-if="form === 'outline' && hasNotes" v-model="withNotes" label="With the notes of the steps" />
        <CheckField v-if="form === 'table'" v-model="withMark" label="Say that it is UTF-8, for older spreadsheets" />
        <template v-if="form === 'calendar'">
          <SelectField v-if="!cancelled" v-model="alarm" above label="Reminder" :options="ALARMS" />
          <CheckField v-model="cancelled" label="The class does not take place" />
          <p class="small quiet">On the clock of {{ zone }}.</p>
        </template>
      </div>
      <div class="seen">
        <p v-if="missing" class="caution" role="status"><AppIcon name="warn" :size="16" /> {{ missing }}</p>
        <template v-else>
          <iframe v-if="form === 'handout'" :srcdoc="text" sandbox="" title="The page for a student" />
          <SoundFile v-else-if="form === 'sound'" :sound="sound" :total-ms="editor.timeline?.totals.totalMs ?? 0" />
          <pre v-else tabindex="0" role="region" aria-label="What is written">{{ preview }}</pre>
          <p v-if="form !== 'handout' && text.length > preview.length" class="small quiet">
            The file goes on from here.
          </p>
          <p class="small quiet">{{ inside }}</p>
          <FoldedPart v-if="notInIt.length > 0" :title="notInItTitle">
            <ul class="small">
              <li v-for="what in notInIt" :key="what">{{ what }}</li>
            </ul>
          </FoldedPart>
        </template>
      </div>
    </div>
    <template #footer>
      <span class="small quiet copied" role="status">{{ copied ? 'Copied.' : '' }}</span>
      <Button
        v-if="isSupported && form !== 'handout' && form !== 'sound'"
        label="Copy"
        outlined
        :disabled="text === ''"
        @click="copy(text)"
      />
      <Button label="Download" :disabled="!ready" @click="download" />
    </template>
  </Dialog>
</template>

<style scoped>
.share {
  display: grid;
  grid-template-columns: 220px minmax(0, 1fr);
  gap: 8px 24px;
}
.forms {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.options {
  display: flex;
  flex-direction: column;
  gap: 6px;
}
iframe {
  width: 100%;
  height: 420px;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
}
pre {
  height: 300px;
  overflow: auto;
  margin: 0;
  padding: 8px 10px;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
  background: var(--sheet);
  font-size: 12.5px;
  line-height: 17px;
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}
.caution {
  display: flex;
  gap: 6px;
  align-items: flex-start;
}
.copied {
  margin-right: auto;
}
@media (width < 700px) {
  .share {
    grid-template-columns: minmax(0, 1fr);
  }
  pre {
    height: 200px;
  }
}
</style>
