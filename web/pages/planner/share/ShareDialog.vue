<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { ORDINARY } from '#core/body';
import { toMs } from '#core/numbers';
import type { WriteLetterRequest } from '#api';
import { useEditor } from '../../../state/editor';
import { saveFile } from '../../../state/files';
import { useLibrary } from '../../../state/library';
import { useNameIndex } from '../../../state/name-index';
import { usePeople } from '../../../state/people';
import { usePlaces } from '../../../state/places';
import { useScreening } from '../../../state/screening';
import CheckField from '../../../ui/fields/CheckField.vue';
import SelectField from '../../../ui/fields/SelectField.vue';
import ShareFrame from '../../../widgets/share/ShareFrame.vue';
import type { Written } from '../../../widgets/share/written';
import FilmOptions from './FilmOptions.vue';
import { SHARE_FORMS, writtenAs, type Form, type Shared, type ShareOptions } from './forms';
import HandoutOptions from './HandoutOptions.vue';
import SoundFile from './SoundFile.vue';
import SoundOptions from './SoundOptions.vue';
import { emailIn, firstWords } from './letter-words';
import LetterForm from './LetterForm.vue';
import { useHandout } from './use-handout';
import { useSound } from './use-sound';

/** Hands a plan over in one of several forms, after it has been seen. */
const { first = 'file' } = defineProps<{
  /** The form it opens with; one that is not known is as none. */
  first?: string | undefined;
}>();
const visible = defineModel<boolean>('visible', { required: true });

const editor = useEditor();
const library = useLibrary();
const names = useNameIndex();
const form = ref<Form>(SHARE_FORMS.find(({ value }) => value === first)?.value ?? 'file');

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
/** A letter takes the page along. */
const withHandout = computed(() => form.value === 'handout' || form.value === 'letter');
const handout = useHandout(() => {
  const { plan } = editor;
  if (!visible.value || !withHandout.value || !plan) return undefined;
  const theirs = person.value !== '' && alternatives.value ? screening.versionOf(person.value)?.plan : undefined;
  const known = people.byId.get(person.value);
  const body = known?.statureCm
    ? { statureCm: known.statureCm, flexibility: known.flexibility ?? ORDINARY }
    : undefined;
  return { plan: theirs ?? plan, words: words.value, household: household.value, body };
});

const sound = useSound(() => (visible.value ? editor.timeline : undefined));

const shared = computed((): Shared | undefined => {
  const { plan, timeline } = editor;
  if (!plan || !timeline) return undefined;
  return {
    id: editor.id,
    revision: editor.revision,
    plan,
    timeline,
    library: library.all,
    names: names.index,
    own: library.own,
    zone: zone.value,
    // The moment is read anew whenever the dialog is opened.
    nowMs: visible.value ? Date.now() : 0,
  };
});
const shareOptions = computed((): ShareOptions => ({
  offsetMs: toMs(offsetSeconds.value) * (filmFirst.value === 'film' ? 1 : -1),
  withMark: withMark.value,
  withNotes: withNotes.value,
  alarmMinutes: alarm.value < 0 ? null : alarm.value,
  cancelled: cancelled.value,
}));
const written = computed((): Written | { missing: string } | undefined => {
  if (!visible.value || !shared.value) return undefined;
  if (form.value === 'sound' || form.value === 'letter') return undefined;
  if (form.value === 'handout')
    return handout.page.value ?? (handout.trouble.value ? { missing: handout.trouble.value } : undefined);
  return writtenAs(form.value, shared.value, shareOptions.value);
});
/** What can go along with a letter. */
const offered = computed((): WriteLetterRequest['attachments'] => {
  const name = editor.plan?.title.replace(/[/\\\p{Cc}]+/gu, ' ').trim() || 'plan';
  const page = handout.page.value;
  const calendar = shared.value && writtenAs('calendar', shared.value, shareOptions.value);
  return [
    ...(page ? [{ name: `${name}.html`, type: 'text/html' as const, text: page.text }] : []),
    ...(calendar && 'text' in calendar
      ? [{ name: `${name}.ics`, type: 'text/calendar' as const, text: calendar.text }]
      : []),
  ];
});
const recipient = computed(() => emailIn(people.byId.get(person.value)?.contact ?? ''));
/** What goes along that somebody might not want to hand over, by form. */
const GOES_ALONG: Partial<Record<Form, string>> = {
  file: ' What you wrote in the notes of the steps does, and so does the group’s name.',
};
const inside = computed(() =>
  form.value === 'letter'
    ? 'In what goes along is nobody’s name, condition or note about a person.'
    : `Nobody’s name, condition or note about a person goes with it.${GOES_ALONG[form.value] ?? ''}`,
);

function saveSound(): void {
  if (sound.file.value) saveFile(sound.file.value, editor.plan?.title ?? '', `.${sound.format.value}`);
}
</script>

<template>
  <ShareFrame
    v-model:visible="visible"
    v-model:form="form"
    header="Share this plan"
    :forms="SHARE_FORMS"
    :name="editor.plan?.title ?? ''"
    :written="written"
    :inside="inside"
  >
    <template #options>
      <FilmOptions v-if="isFilm" v-model:first="filmFirst" v-model:seconds="offsetSeconds" />
      <HandoutOptions
        v-if="withHandout"
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
    </template>
    <template v-if="form === 'letter'" #seen>
      <LetterForm
        :key="editor.id"
        :to="recipient"
        :subject="editor.plan?.title ?? ''"
        :text="editor.plan ? firstWords(editor.plan) : ''"
        :offered="offered"
        :waiting="handout.page.value || handout.trouble.value ? '' : 'The page for a student is being drawn…'"
        :missing="handout.trouble.value"
      />
    </template>
    <template v-else-if="form === 'sound'" #seen>
      <SoundFile :sound="sound" :total-ms="editor.timeline?.totals.totalMs ?? 0" />
    </template>
    <template v-if="form === 'letter'" #actions><span /></template>
    <template v-else-if="form === 'sound'" #actions>
      <Button label="Download" :disabled="!sound.file.value" @click="saveSound" />
    </template>
  </ShareFrame>
</template>
