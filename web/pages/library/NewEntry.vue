<script setup lang="ts">
import equal from 'fast-deep-equal';
import Button from 'primevue/button';
import Menu from 'primevue/menu';
import { shallowRef, useTemplateRef } from 'vue';
import { useRouter } from 'vue-router';
import { blankPosition, blankTechnique, type CustomEntry } from '#core/catalogue';
import { figureOf } from '#library';
import { useLibrary } from '../../state/library';
import { beginEntry, editPath, waitingEntries } from './edit/entry-drafts';
import { overlays } from '../../ui/overlays';

/** Begins a custom entry from nothing, and leads back to those that are not stored yet. */
const router = useRouter();
const library = useLibrary();
const menu = useTemplateRef<InstanceType<typeof Menu>>('menu');
const waiting = shallowRef<{ name: string; path: string }[]>([]);

void waitingEntries().then((entries) => {
  waiting.value = entries
    // A page that was left before the answer came may have kept what is stored by now.
    .filter((document) => !equal(library.ownEntry(document.entry.id)?.document, document))
    .map((document) => ({ name: document.entry.names.english || 'untitled', path: editPath(document) }));
});

/** Begins with sitting, from where every other position is a joint away. */
const newPosition = (id: string): CustomEntry => blankPosition(id, figureOf('easy-seat'));

async function begin(make: (id: string) => CustomEntry): Promise<void> {
  const id = await beginEntry(make);
  await router.push(editPath(make(id)));
}
const choices = [
  { label: 'A position', command: () => begin(newPosition) },
  { label: 'A breath technique', command: () => begin(blankTechnique) },
];
</script>

<template>
  <div class="new">
    <Button
      label="New entry"
      outlined
      size="small"
      aria-haspopup="true"
      title="A custom entry; or open an entry and make a copy"
      @click="menu?.toggle($event)"
    />
    <Menu ref="menu" :append-to="overlays()" :model="choices" popup />
  </div>
  <p v-if="library.trouble" class="told caution" role="alert">
    Your custom entries could not be loaded: {{ library.trouble }}
    <button type="button" class="link-button" @click="library.reload()">Try again</button>
  </p>
  <p v-if="waiting.length > 0" class="told">
    <span class="quiet">Not saved yet:</span>
    <RouterLink v-for="{ name, path } in waiting" :key="path" :to="path">{{ name }}</RouterLink>
  </p>
</template>

<style scoped>
.told {
  display: flex;
  flex-basis: 100%;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
}
</style>
