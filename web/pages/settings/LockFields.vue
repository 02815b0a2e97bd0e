<script setup lang="ts">
import Button from 'primevue/button';
import { ref } from 'vue';
import { z } from 'zod';
import { OpenLockRequest, SetLockRequest } from '#api';
import FieldGroup from '../../ui/fields/FieldGroup.vue';
import FormText from '../../ui/forms/FormText.vue';
import SentForm from '../../ui/forms/SentForm.vue';
import { hasFields, Refusal } from '../../ui/forms/refusals';
import { useLock } from '../../state/lock';

/** The passphrase for people's data: set, changed, removed, or locked at once. */
const lock = useLock();
void lock.load();
/** As the server checks it; the minutes come as they are typed. */
const Fields = SetLockRequest.extend({
  minutes: z.coerce.number('Minutes are a whole number.').pipe(SetLockRequest.shape.minutes),
});
const Removal = z.object({ current: OpenLockRequest.shape.passphrase.min(1, 'Type the passphrase.') });
const done = ref('');
/** The form anew, empty, after each change. */
const times = ref(0);

async function attempt(what: () => Promise<void>, message: string): Promise<void> {
  done.value = '';
  await what();
  times.value += 1;
  done.value = message;
}
/** A wrong passphrase is refused at the field it was typed into. */
const atCurrent = (error: unknown): never => {
  if (hasFields(error) && error.fields.length > 0) throw error;
  throw new Refusal(lock.state.set ? 'current' : 'passphrase', (error as Error).message);
};
const set = ({ passphrase, minutes, current: now }: z.infer<typeof Fields>): Promise<void> =>
  (lock.state.set
    ? attempt(() => lock.set(passphrase, minutes, now ?? ''), 'The passphrase was changed.')
    : attempt(() => lock.set(passphrase, minutes), 'The passphrase is set.')
  ).catch(atCurrent);
const remove = ({ current: now }: { current: string }): Promise<void> =>
  attempt(() => lock.remove(now), 'The passphrase was removed.').catch(atCurrent);
</script>

<template>
  <FieldGroup title="Lock" says="a passphrase for everything about people; Zovrin locks when nobody uses it">
    <SentForm
      :key="`${times} ${lock.state.minutes}`"
      :schema="Fields"
      :initial="{ passphrase: '', minutes: lock.state.minutes }"
      :send="set"
    >
      <FormText
        v-if="lock.state.set"
        name="current"
        label="Current passphrase"
        secret
        autocomplete="current-password"
      />
      <FormText
        name="passphrase"
        :label="lock.state.set ? 'New passphrase' : 'Passphrase'"
        secret
        autocomplete="new-password"
      />
      <FormText name="minutes" label="Lock after, minutes of inactivity" numeric />
      <Button type="submit" size="small" :label="lock.state.set ? 'Change passphrase' : 'Set passphrase'" />
    </SentForm>
    <template v-if="lock.state.set">
      <SentForm :key="`remove ${times}`" :schema="Removal" :initial="{ current: '' }" :send="remove" class="remove">
        <FormText name="current" label="Passphrase to remove" secret autocomplete="current-password" />
        <Button type="submit" size="small" outlined label="Remove passphrase" />
        <Button size="small" text label="Lock now" @click="lock.lock()" />
      </SentForm>
    </template>
    <p v-if="done" class="small" role="status">{{ done }}</p>
    <p class="small quiet">
      At least 12 characters; three or four words are easy to remember. It cannot be recovered if you forget it. Nothing
      locks while you lead a class.
    </p>
  </FieldGroup>
</template>

<style scoped>
.remove {
  margin-top: 10px;
}
</style>
