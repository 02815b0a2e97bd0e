<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import {
  copyOf,
  positionDocument,
  techniqueDocument,
  type CustomEntry,
  type Position,
  type Technique,
} from '#core/catalogue';
import { taughtPosition, taughtTechnique } from '#library/teaching';
import { useLibrary } from '../../state/library';
import AddToPlan from './AddToPlan.vue';
import { beginEntry, editPath } from './edit/entry-drafts';
import ShareButton from '../../widgets/share/ShareButton.vue';
import FavouriteButton from './FavouriteButton.vue';
import { ENTRY_FORMS, writeEntry } from './share-entry';
import { useUndoToast } from '../../ui/use-undo-toast';

/** Actions on an entry: copy; and edit or delete, if it is a custom one. */
const { entry } = defineProps<{ entry: Position | Technique }>();

const library = useLibrary();
const router = useRouter();
const undoable = useUndoToast();
const trouble = ref('');
const stored = computed(() => library.ownEntry(entry.id));
const deleted = computed(() => stored.value !== undefined && stored.value.deletedAt !== null);
const document = computed((): CustomEntry =>
  'figure' in entry ? positionDocument(taughtPosition(entry)) : techniqueDocument(taughtTechnique(entry)),
);

async function copy(): Promise<void> {
  const id = await beginEntry((fresh) => copyOf(document.value, fresh));
  await router.push(editPath(copyOf(document.value, id)));
}
async function attempt(change: () => Promise<void>): Promise<void> {
  try {
    await change();
    trouble.value = '';
  } catch (error) {
    trouble.value = (error as Error).message;
  }
}
const remove = () =>
  attempt(async () => {
    const { english } = entry.names;
    await library.remove(entry.id);
    undoable(`“${english}” is in the bin. Plans that use it stay as they are.`, () =>
      attempt(() => library.takeBack(entry.id)),
    );
    await router.push('/library');
  });
const takeBack = () => attempt(() => library.takeBack(entry.id));
</script>

<template>
  <div class="actions">
    <span v-if="stored" class="yours">yours</span>
    <template v-if="deleted">
      <span class="small quiet">Deleted; plans that use it stay as they are.</span>
      <Button label="Restore" size="small" @click="takeBack" />
    </template>
    <template v-else>
      <AddToPlan :entry="entry.id" :name="entry.names.english" />
      <FavouriteButton :entry="entry.id" />
      <ShareButton
        header="Share this entry"
        :name="entry.names.english"
        :forms="ENTRY_FORMS"
        :write="(form) => writeEntry(form, document)"
        inside="Nothing about people is in a library entry."
      />
      <Button label="Make a copy" outlined size="small" title="A custom entry that you can change" @click="copy" />
      <template v-if="stored">
        <Button label="Delete" outlined size="small" @click="remove" />
        <Button label="Change" size="small" @click="router.push(editPath(document))" />
      </template>
    </template>
    <p v-if="trouble" class="caution small" role="alert">{{ trouble }}</p>
  </div>
</template>

<style scoped>
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin-left: auto;
}
</style>
