<script setup lang="ts">
import Button from 'primevue/button';
import { lightFormat } from 'date-fns';
import { ref } from 'vue';
import { z } from 'zod';
import { MakeBackupRequest } from '#api';
import { makeBackupFile } from '../../../client/backups';
import CheckField from '../../../ui/fields/CheckField.vue';
import FieldGroup from '../../../ui/fields/FieldGroup.vue';
import FormText from '../../../ui/forms/FormText.vue';
import FormValue from '../../../ui/forms/FormValue.vue';
import SentForm from '../../../ui/forms/SentForm.vue';
import { saveFile } from '../../../state/files';
import { sizeInWords } from '../../../ui/sizes';

/** Everything as one file, which is downloaded. */
const done = ref('');
type Typed = { withPeople: boolean; passphrase: string };
/** An empty field is no passphrase. */
const requestOf = ({ withPeople, passphrase }: Typed): MakeBackupRequest => ({
  withPeople,
  ...(passphrase === '' ? {} : { passphrase }),
});
/** As the server checks it. */
const Fields = z.object({ withPeople: z.boolean(), passphrase: z.string() }).superRefine((typed, context) => {
  for (const { path, message } of MakeBackupRequest.safeParse(requestOf(typed)).error?.issues ?? []) {
    context.addIssue({ code: 'custom', path, message });
  }
});

async function make(typed: Typed): Promise<void> {
  done.value = '';
  const request = requestOf(typed);
  const file = await makeBackupFile(request);
  const ending = request.passphrase === undefined ? '.zip' : '.zovrin-backup';
  saveFile(file, `zovrin-backup-${lightFormat(Date.now(), 'yyyy-MM-dd')}`, ending);
  done.value = `The backup was downloaded: ${sizeInWords(file.size)}.`;
}
</script>

<template>
  <FieldGroup title="Backup file" says="everything in one file, to keep elsewhere or to move to another machine">
    <SentForm :schema="Fields" :initial="{ withPeople: false, passphrase: '' }" :send="make">
      <template #default="{ busy }">
        <FormValue v-slot="{ value, set }" name="withPeople">
          <CheckField
            class="whole-row"
            :model-value="value === true"
            label="with people, sessions and the journal; this needs a passphrase"
            @update:model-value="set"
          />
        </FormValue>
        <FormText name="passphrase" label="Passphrase for the file" secret autocomplete="new-password" />
        <Button type="submit" size="small" label="Download a backup file" :loading="busy" />
      </template>
    </SentForm>
    <p v-if="done" class="small" role="status">{{ done }}</p>
    <p class="small quiet">
      Plans, library entries, places and settings are always in it, each in its open format. Earlier versions of plans
      and what lies in the bin are not. A passphrase cannot be recovered if you forget it.
    </p>
  </FieldGroup>
</template>

<style scoped>
.whole-row {
  flex-basis: 100%;
}
p {
  margin-top: 8px;
}
</style>
