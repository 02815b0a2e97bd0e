<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import { UnsealRequest, type OpenedBackup } from '#api';
import { closeBackup, openBackup, openBackupCopy, unsealBackup } from '../../../client/backups';
import FieldGroup from '../../../ui/fields/FieldGroup.vue';
import FileButton from '../../../ui/fields/FileButton.vue';
import FormText from '../../../ui/forms/FormText.vue';
import SentForm from '../../../ui/forms/SentForm.vue';
import BackupComparison from './BackupComparison.vue';
import BackupCopies from './BackupCopies.vue';
import BackupFileForm from './BackupFileForm.vue';
import { documents } from './words';

/** Copies and backup files, and what one of them would change before it is restored. */
const MAX_MB = 500;
const backup = ref<OpenedBackup>();
const fileName = ref('');
const busy = ref(false);
const trouble = ref('');

const route = useRoute();
const restoredBefore = computed(() => Number(route.query.restored ?? 0));

async function open(what: () => Promise<OpenedBackup>): Promise<void> {
  if (busy.value) return;
  busy.value = true;
  trouble.value = '';
  try {
    backup.value = await what();
  } catch (error) {
    trouble.value = (error as Error).message;
  } finally {
    busy.value = false;
  }
}
function openFile(file: File): void {
  fileName.value = file.name;
  if (file.size > MAX_MB * 1_000_000) {
    trouble.value = `“${file.name}” is larger than ${MAX_MB} MB. No backup is as large as that.`;
    return;
  }
  void open(() =>
    openBackup(file).catch((error: unknown) => {
      throw new Error(`“${file.name}”: ${(error as Error).message}`, { cause: error });
    }),
  );
}
async function unseal({ passphrase }: { passphrase: string }): Promise<void> {
  if (backup.value) backup.value = await unsealBackup(backup.value.id, passphrase);
}
function close(): void {
  backup.value = undefined;
  void closeBackup().catch(() => undefined);
}
/** The page is loaded anew: every list in it may be another one now. */
function restored(count: number): void {
  window.location.assign(`/settings?group=backup&restored=${count}`);
}
</script>

<template>
  <BackupComparison v-if="backup?.state === 'open'" :backup="backup" @close="close" @restored="restored" />
  <template v-else>
    <p v-if="restoredBefore > 0" class="done" role="status">
      {{ documents(restoredBefore) }} {{ restoredBefore === 1 ? 'was' : 'were' }} restored. Everything as it was before
      is in the list of copies.
    </p>
    <BackupCopies :busy="busy" @compare="(name) => open(() => openBackupCopy(name))" />
    <BackupFileForm />
    <FieldGroup title="Restore" says="a backup file is compared first; nothing is changed by that">
      <SentForm v-if="backup" :key="backup.id" :schema="UnsealRequest" :initial="{ passphrase: '' }" :send="unseal">
        <template #default="{ busy: opening }">
          <FormText name="passphrase" :label="`Passphrase of ${fileName}`" secret autofocus />
          <Button type="submit" size="small" label="Open" :loading="opening" />
          <Button size="small" text label="Cancel" @click="close" />
        </template>
      </SentForm>
      <FileButton v-else label="Choose a backup file" types=".zip,.zovrin-backup" @open="openFile" />
      <p v-if="trouble" class="caution trouble" role="alert">{{ trouble }}</p>
      <p v-else-if="busy" class="small quiet" role="status">Comparing…</p>
    </FieldGroup>
  </template>
</template>

<style scoped>
.done {
  margin-bottom: 8px;
}
.trouble {
  margin-top: 8px;
}
</style>
