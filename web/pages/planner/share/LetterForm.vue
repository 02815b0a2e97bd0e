<script setup lang="ts">
import Button from 'primevue/button';
import Textarea from 'primevue/textarea';
import { computed, ref } from 'vue';
import { z } from 'zod';
import { WriteLetterRequest, type Letter } from '#api';
import { readOutbox, writeLetter } from '../../../client/outbox';
import CheckField from '../../../ui/fields/CheckField.vue';
import FieldReason from '../../../ui/fields/FieldReason.vue';
import FormText from '../../../ui/forms/FormText.vue';
import FormValue from '../../../ui/forms/FormValue.vue';
import SentForm from '../../../ui/forms/SentForm.vue';
import { sizeInWords } from '../../../ui/sizes';

type Attachment = WriteLetterRequest['attachments'][number];

/** A letter with what goes along with it. Nothing goes out before the button is pressed. */
const { to, subject, text, offered, waiting, missing } = defineProps<{
  to: string;
  subject: string;
  text: string;
  /** What can go along. */
  offered: readonly Attachment[];
  /** What is still being drawn; empty where all is there. */
  waiting: string;
  /** Why something cannot go along; the letter can go without it. */
  missing: string;
}>();

/** The name of the mail server; null where there is none, undefined until it is known. */
const server = ref<string | null>();
const trouble = ref('');
readOutbox().then(
  (outbox) => (server.value = outbox.server),
  (error: Error) => (trouble.value = error.message),
);

const left = ref<readonly string[]>([]);
const attachments = computed(() => offered.filter(({ name }) => !left.value.includes(name)));
const take = (name: string, taken: boolean): void => {
  left.value = taken ? left.value.filter((one) => one !== name) : [...left.value, name];
};
const sizeOf = (content: string): string => sizeInWords(new Blob([content]).size);

const addresses = (typed: string): string[] => typed.split(/[\s,;]+/u).filter(Boolean);
/** As the server checks it; several addresses stand in one field. */
const Fields = z
  .object({ to: z.string(), subject: WriteLetterRequest.shape.subject, text: WriteLetterRequest.shape.text })
  .superRefine((typed, context) => {
    const wrong = addresses(typed.to).find((one) => !z.email().safeParse(one).success);
    const [issue] = WriteLetterRequest.shape.to.safeParse(addresses(typed.to)).error?.issues ?? [];
    if (!issue) return;
    const message = wrong === undefined ? issue.message : `“${wrong}” is not an e-mail address.`;
    context.addIssue({ code: 'custom', path: ['to'], message });
  });

const written = ref<Letter>();
async function write(typed: z.infer<typeof Fields>): Promise<void> {
  written.value = undefined;
  written.value = await writeLetter({ ...typed, to: addresses(typed.to), attachments: [...attachments.value] });
}
const outcome = computed(() => {
  if (!written.value) return '';
  const { state, reason } = written.value;
  if (state === 'sent') return 'The letter was sent.';
  if (state === 'failed') return `The letter is in the outbox, but it was not sent: ${reason ?? ''}`;
  return 'The letter is in the outbox. No mail server is set up, so it was not sent.';
});
</script>

<template>
  <SentForm class="letter" :schema="Fields" :initial="{ to, subject, text }" :send="write">
    <template #default="{ busy }">
      <FormText name="to" label="To" :suggested="to" placeholder="name@example.org" autocomplete="email" />
      <FormText name="subject" label="Subject" />
      <FormValue v-slot="{ value, set, problem }" name="text">
        <span class="labelled">
          <label for="letter-text">Text of the letter</label>
          <Textarea
            id="letter-text"
            rows="7"
            :model-value="String(value ?? '')"
            :aria-invalid="problem !== ''"
            :aria-describedby="problem === '' ? undefined : 'letter-text-reason'"
            @update:model-value="set"
          />
          <FieldReason v-if="problem" id="letter-text-reason">{{ problem }}</FieldReason>
        </span>
      </FormValue>
      <fieldset>
        <legend class="small quiet">Goes along</legend>
        <CheckField
          v-for="file in offered"
          :key="file.name"
          :label="`${file.name}, ${sizeOf(file.text)}`"
          :model-value="!left.includes(file.name)"
          @update:model-value="(taken) => take(file.name, taken)"
        />
        <span v-if="waiting" class="small quiet" role="status">{{ waiting }}</span>
        <span v-else-if="missing" class="small caution" role="alert">{{ missing }}</span>
        <span v-else-if="offered.length === 0" class="small quiet">Nothing.</span>
      </fieldset>
      <Button
        type="submit"
        :label="server ? `Send by ${server}` : 'Put into the outbox'"
        :loading="busy"
        :disabled="waiting !== ''"
      />
    </template>
  </SentForm>
  <p v-if="trouble" class="caution" role="alert">{{ trouble }}</p>
  <p v-if="written" :class="{ caution: written.state === 'failed' }" role="status">
    {{ outcome }} <RouterLink to="/outbox">Outbox</RouterLink>
  </p>
  <p v-else-if="server === null" class="small quiet">
    No mail server is set up: the letter will lie in the <RouterLink to="/outbox">outbox</RouterLink> as a file that
    your mail program opens.
  </p>
</template>

<style scoped>
.letter {
  display: grid;
  gap: 8px;
}
.letter :deep(.labelled),
.letter :deep(input[type='text']),
textarea {
  width: 100%;
}
fieldset {
  display: grid;
  margin: 0;
  padding: 0;
  border: 0;
}
.letter > button {
  justify-self: start;
  margin-bottom: 6px;
}
</style>
