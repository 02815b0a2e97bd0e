<script setup lang="ts">
import Button from 'primevue/button';
import { ref, shallowRef } from 'vue';
import type { BinnedItem } from '#api';
import { listBin, restore } from '../../client/bin';
import { dayOf } from '../../ui/dates';
import { initials } from '#core/people';
import { useLibrary } from '../../state/library';
import { usePeople } from '../../state/people';
import { latestOnly } from '../../sync/latest';

const library = useLibrary();
const people = usePeople();
/** People by initials here too, unless names are wanted. */
const titleOf = ({ kind, title }: BinnedItem): string =>
  kind === 'person' && !people.showNames ? initials(title) : title;
const items = shallowRef<BinnedItem[]>();
const trouble = ref('');

const asks = latestOnly();
async function load(): Promise<void> {
  const isLatest = asks();
  try {
    const found = await listBin();
    if (isLatest()) [items.value, trouble.value] = [found, ''];
  } catch (error) {
    trouble.value = (error as Error).message;
  }
}
async function takeBack(item: BinnedItem): Promise<void> {
  try {
    if (item.kind === 'entry') await library.takeBack(item.id);
    else await restore(item);
    await load();
  } catch (error) {
    trouble.value = (error as Error).message;
  }
}
const KINDS = {
  plan: 'plan',
  run: 'run',
  entry: 'library entry',
  person: 'person',
  group: 'group',
  place: 'place',
  course: 'course',
  journal: 'journal',
} as const;
const day = (iso: string): string => dayOf(new Date(iso).getTime());
void load();
</script>

<template>
  <main class="room">
    <h1>Bin</h1>
    <p class="quiet">What was deleted is kept here for 30 days.</p>
    <p v-if="trouble" class="caution" role="alert">{{ trouble }}</p>
    <p v-else-if="items?.length === 0" class="empty">Nothing in the bin.</p>
    <ul>
      <li v-for="item in items" :key="item.kind + item.id">
        <span class="strong">{{ titleOf(item) }}</span>
        <span class="quiet"
          >{{ KINDS[item.kind] }}, deleted {{ day(item.deletedAt) }}, deleted for good {{ day(item.goneAt)
          }}<template v-if="item.kind === 'entry'">, unless a plan uses it</template></span
        >
        <Button
          label="Restore"
          outlined
          size="small"
          :aria-label="`Restore ${titleOf(item)}`"
          @click="takeBack(item)"
        />
      </li>
    </ul>
  </main>
</template>

<style scoped>
.room {
  max-width: 860px;
  padding: 18px 32px;
}
h1 {
  font-size: 27px;
  line-height: 34px;
}
li {
  display: grid;
  grid-template-columns: 1fr 1fr auto;
  gap: 16px;
  align-items: center;
  padding: 10px 0;
  border-bottom: 1px solid var(--line);
}
.empty {
  padding: 24px 0;
}
</style>
