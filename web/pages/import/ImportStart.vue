<script setup lang="ts">
import Button from 'primevue/button';
import Textarea from 'primevue/textarea';
import { ref } from 'vue';
import FileButton from '../../ui/fields/FileButton.vue';
import { useIncoming } from '../../state/incoming';

/** Where an import begins: words typed or pasted, or files. */
const incoming = useIncoming();
const typed = ref('');
const EXAMPLE = `Tuesday 18:30, tired legs, 1h, 12 people
arrive 3 min
legs on a chair 6, blanket under the head
twist 3.5 each side, left first
breath 4/8, 15 rounds
savasana, rest of the time`;
const TYPES = '.json,.txt,.md,.ics,.csv,.vtt,.srt,text/plain,text/calendar,text/csv,text/vtt,application/json';
</script>

<template>
  <h1 tabindex="-1">Import</h1>
  <p class="quiet lead">
    Type or paste a plan as you would write it in a notebook or a message, or open files: plans, library entries, places
    and people from another Zovrin, a calendar file with dates, a table of people (CSV), or the captions of a class that
    was filmed (WebVTT, SubRip). Everything is shown as it was understood, and nothing is saved before you say so.
  </p>
  <div class="start">
    <label for="import-text">Your notes</label>
    <Textarea id="import-text" v-model="typed" rows="12" :placeholder="EXAMPLE" autofocus />
    <div class="actions">
      <Button label="Read it" :disabled="typed.trim() === ''" @click="incoming.bringText(typed)" />
      <FileButton several label="Open files" :types="TYPES" @open-all="incoming.bringFiles($event)" />
      <span class="small quiet">You can also drop files anywhere, or paste into any page.</span>
    </div>
  </div>
</template>

<style scoped>
h1 {
  font-size: 27px;
  line-height: 34px;
}
.lead {
  max-width: 640px;
  margin: 4px 0 12px;
}
.start {
  display: flex;
  flex-direction: column;
  gap: 6px;
  max-width: 760px;
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
}
</style>
