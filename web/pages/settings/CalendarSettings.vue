<script setup lang="ts">
import { useClipboard } from '@vueuse/core';
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { computed, ref } from 'vue';
import { endFeed, readFeed, renewFeed } from '../../client/calendar-feed';
import FieldGroup from '../../ui/fields/FieldGroup.vue';

/** The private address under which a calendar reads every class with a date. */
const path = ref<string | null>();
const busy = ref(false);
const trouble = ref('');
const done = ref('');
const address = computed(() => (path.value ? `${window.location.origin}${path.value}` : ''));

async function change(what: () => Promise<{ path: string | null }>, message: string): Promise<void> {
  if (busy.value) return;
  busy.value = true;
  [trouble.value, done.value] = ['', ''];
  try {
    path.value = (await what()).path;
    done.value = message;
  } catch (error) {
    trouble.value = (error as Error).message;
  } finally {
    busy.value = false;
  }
}
const load = (): Promise<void> => change(readFeed, '');
const make = (): Promise<void> =>
  change(renewFeed, 'Add this address to your calendar, as a calendar to subscribe to.');
const renew = (): Promise<void> =>
  change(renewFeed, 'The address is a new one. Calendars that have the old one see nothing any more.');
const end = (): Promise<void> =>
  change(async () => {
    await endFeed();
    return { path: null };
  }, 'The address is switched off. Calendars that have it see nothing any more.');
void load();

const { copy, copied, isSupported } = useClipboard({ copiedDuring: 3000 });
</script>

<template>
  <FieldGroup title="Calendar feed" says="every class with a date, in your own calendar">
    <div class="stack">
      <p v-if="trouble" class="caution" role="alert">
        {{ trouble }} <button type="button" class="link-button" @click="load">Try again</button>
      </p>
      <template v-if="path">
        <div class="address">
          <InputText
            readonly
            size="small"
            :model-value="address"
            aria-label="Address of the calendar feed"
            @focus="($event.target as HTMLInputElement).select()"
          />
          <Button v-if="isSupported" size="small" outlined :label="copied ? 'Copied' : 'Copy'" @click="copy(address)" />
        </div>
        <p class="actions">
          <Button size="small" outlined label="Make a new address" :disabled="busy" @click="renew" />
          <Button size="small" text label="Switch off" :disabled="busy" @click="end" />
        </p>
      </template>
      <Button v-else-if="path === null" size="small" label="Make an address" :disabled="busy" @click="make" />
      <p v-if="done" class="small" role="status">{{ done }}</p>
      <p class="small quiet">
        Whoever has the address can read your classes with their steps, and change nothing. Nothing about people is in
        it. A class that you move keeps its place in the calendar; one whose plan you delete is shown as cancelled. The
        calendar has to reach this machine.
      </p>
    </div>
  </FieldGroup>
</template>

<style scoped>
.stack {
  display: grid;
  gap: 8px;
  justify-items: start;
}
.address {
  display: flex;
  gap: 8px;
  width: 100%;
}
.address input {
  flex: 1;
  min-width: 0;
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
