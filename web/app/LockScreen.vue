<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { nextTick, onMounted, ref } from 'vue';
import ZovrinMark from './ZovrinMark.vue';
import { useLock } from '../state/lock';

/** In place of every page, until the passphrase is typed. */
const lock = useLock();
const passphrase = ref('');
const wrong = ref('');
const field = (): HTMLInputElement | null => document.querySelector('#passphrase');
onMounted(() => field()?.focus());

async function open(): Promise<void> {
  try {
    await lock.open(passphrase.value);
    [passphrase.value, wrong.value] = ['', ''];
  } catch (error) {
    wrong.value = (error as Error).message;
    await nextTick();
    field()?.select();
  }
}
</script>

<template>
  <main class="lock">
    <ZovrinMark />
    <h1>Locked</h1>
    <p class="quiet">Everything about people is locked. What you typed is saved.</p>
    <form @submit.prevent="open">
      <InputText
        id="passphrase"
        v-model="passphrase"
        type="password"
        autocomplete="current-password"
        aria-label="Passphrase"
        placeholder="Passphrase"
        :invalid="wrong !== ''"
        :aria-describedby="wrong === '' ? undefined : 'passphrase-reason'"
      />
      <Button type="submit" label="Unlock" />
    </form>
    <p v-if="wrong" id="passphrase-reason" class="caution" role="alert">{{ wrong }}</p>
  </main>
</template>

<style scoped>
.lock {
  display: flex;
  flex-direction: column;
  gap: 10px;
  align-items: center;
  justify-content: center;
  min-height: 90vh;
  padding: 20px;
}
h1 {
  font-size: 27px;
  line-height: 34px;
}
form {
  display: flex;
  gap: 8px;
}
input {
  width: 240px;
}
</style>
