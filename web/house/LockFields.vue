<script setup lang="ts">
import Button from 'primevue/button';
import { ref } from 'vue';
import { ApiProblem } from '../client/http';
import FieldGroup from '../shared/fields/FieldGroup.vue';
import { useLock } from '../stores/lock';

/** The passphrase for people's data: set, changed, removed, or locked at once. */
const lock = useLock();
void lock.load();
const passphrase = ref('');
const minutes = ref(String(lock.state.minutes));
const wrong = ref<Record<string, string>>({});
const said = ref('');

async function tell(what: () => Promise<void>, done: string): Promise<void> {
  [wrong.value, said.value] = [{}, ''];
  try {
    await what();
    [passphrase.value, said.value] = ['', done];
  } catch (error) {
    const fields = error instanceof ApiProblem ? (error.problem.errors ?? []) : [];
    wrong.value =
      fields.length > 0
        ? Object.fromEntries(fields.map(({ field, reason }) => [field, reason]))
        : { passphrase: (error as Error).message };
  }
}
const set = () => tell(() => lock.set(passphrase.value, Number(minutes.value)), 'The passphrase is set.');
const remove = () => tell(() => lock.remove(passphrase.value), 'The passphrase was removed.');
</script>

<template>
  <FieldGroup
    title="Lock"
    says="a passphrase for everything about people; Zovrin locks when nobody has used it for a while"
  >
    <form class="lock-fields" @submit.prevent="set">
      <label
        >{{ lock.state.set ? 'New passphrase, or the current one to remove it' : 'Passphrase' }}<br />
        <input
          v-model="passphrase"
          class="plain-input"
          type="password"
          autocomplete="new-password"
          :aria-invalid="wrong.passphrase !== undefined"
      /></label>
      <label
        >Lock after<br />
        <input
          v-model="minutes"
          inputmode="numeric"
          class="plain-input short"
          :aria-invalid="wrong.minutes !== undefined"
        />
        minutes of inactivity</label
      >
      <Button type="submit" size="small" :label="lock.state.set ? 'Change passphrase' : 'Set passphrase'" />
      <Button v-if="lock.state.set" size="small" outlined label="Remove passphrase" @click="remove" />
      <Button v-if="lock.state.set" size="small" text label="Lock now" @click="lock.lock()" />
    </form>
    <p v-for="(reason, field) in wrong" :key="field" class="caution small" role="alert">{{ reason }}</p>
    <p v-if="said" class="small" role="status">{{ said }}</p>
    <p class="small quiet">
      At least 12 letters; three or four words are easy to remember. It cannot be recovered if you forget it. Nothing
      locks while you lead a class.
    </p>
  </FieldGroup>
</template>

<style scoped>
.lock-fields {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 16px;
  align-items: flex-end;
  padding: 4px 0;
}
label {
  color: var(--ink-2);
  font-size: 12.5px;
}
.short {
  width: 56px;
}
</style>
