<script setup lang="ts">
import Button from 'primevue/button';
import InputNumber from 'primevue/inputnumber';
import Password from 'primevue/password';
import { ref } from 'vue';
import { ApiProblem } from '../../client/http';
import FieldGroup from '../../ui/fields/FieldGroup.vue';
import { useLock } from '../../state/lock';

/** The passphrase for people's data: set, changed, removed, or locked at once. */
const lock = useLock();
void lock.load();
const MAX_MINUTES = 240;
/** Without its panel of strength, the field is a plain one, and says so. */
const NO_PANEL = { pcInputText: { root: { 'aria-expanded': undefined, 'aria-haspopup': undefined } } };
const current = ref('');
const passphrase = ref('');
const minutes = ref(lock.state.minutes);
const wrong = ref<Record<string, string>>({});
const done = ref('');

async function attempt(what: () => Promise<void>, message: string, field: string): Promise<void> {
  [wrong.value, done.value] = [{}, ''];
  try {
    await what();
    [current.value, passphrase.value, done.value] = ['', '', message];
  } catch (error) {
    const fields = error instanceof ApiProblem ? (error.problem.errors ?? []) : [];
    wrong.value =
      fields.length > 0
        ? Object.fromEntries(fields.map(({ field: name, reason }) => [name, reason]))
        : { [field]: (error as Error).message };
  }
}
const set = () =>
  lock.state.set
    ? attempt(() => lock.set(passphrase.value, minutes.value, current.value), 'The passphrase was changed.', 'current')
    : attempt(() => lock.set(passphrase.value, minutes.value), 'The passphrase is set.', 'passphrase');
const remove = () => attempt(() => lock.remove(current.value), 'The passphrase was removed.', 'current');
</script>

<template>
  <FieldGroup title="Lock" says="a passphrase for everything about people; Zovrin locks when nobody uses it">
    <form class="lock-fields" @submit.prevent="set">
      <div v-if="lock.state.set" class="field">
        <label for="lock-current" class="small">Current passphrase</label>
        <Password
          v-model="current"
          input-id="lock-current"
          :feedback="false"
          toggle-mask
          autocomplete="current-password"
          :invalid="wrong.current !== undefined"
          :input-props="{ 'aria-describedby': 'lock-current-wrong' }"
          :pt="NO_PANEL"
        />
        <p v-if="wrong.current" id="lock-current-wrong" class="caution small" role="alert">{{ wrong.current }}</p>
      </div>
      <div class="field">
        <label for="lock-passphrase" class="small">{{ lock.state.set ? 'New passphrase' : 'Passphrase' }}</label>
        <Password
          v-model="passphrase"
          input-id="lock-passphrase"
          :feedback="false"
          toggle-mask
          autocomplete="new-password"
          :invalid="wrong.passphrase !== undefined"
          :input-props="{ 'aria-describedby': 'lock-passphrase-wrong' }"
          :pt="NO_PANEL"
        />
        <p v-if="wrong.passphrase" id="lock-passphrase-wrong" class="caution small" role="alert">
          {{ wrong.passphrase }}
        </p>
      </div>
      <div class="field">
        <label for="lock-minutes" class="small">Lock after, minutes of inactivity</label>
        <InputNumber
          v-model="minutes"
          input-id="lock-minutes"
          :min="1"
          :max="MAX_MINUTES"
          :use-grouping="false"
          fluid
          :invalid="wrong.minutes !== undefined"
        />
        <p v-if="wrong.minutes" class="caution small" role="alert">{{ wrong.minutes }}</p>
      </div>
      <div class="actions">
        <Button type="submit" size="small" :label="lock.state.set ? 'Change passphrase' : 'Set passphrase'" />
        <template v-if="lock.state.set">
          <Button size="small" outlined label="Remove passphrase" @click="remove" />
          <Button size="small" text label="Lock now" @click="lock.lock()" />
        </template>
      </div>
    </form>
    <p v-if="done" class="small" role="status">{{ done }}</p>
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
  gap: 12px 16px;
  align-items: start;
}
.field {
  display: grid;
  gap: 4px;
  max-width: 240px;
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding-top: 24px;
}
@media (max-width: 700px) {
  .actions {
    padding-top: 0;
  }
}
</style>
