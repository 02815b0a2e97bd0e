<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { useIncoming } from '../../state/incoming';
import { useIncomingSteps } from '../../state/incoming-steps';
import AppIcon from '../../ui/AppIcon.vue';
import ImportHead from './ImportHead.vue';
import { inWords, isSavable, saveFound, type Savable } from './save-found';

/** Files that were opened: what each is, what is in it, and what is wrong with it. */
const incoming = useIncoming();
const steps = useIncomingSteps();
const router = useRouter();

const savable = computed(() => incoming.files.flatMap(({ found }): Savable[] => (isSavable(found) ? [found] : [])));
const MAX_ISSUES = 8;
const trouble = ref('');
const saving = ref(false);
async function save(): Promise<void> {
  saving.value = true;
  try {
    const path = await saveFound(savable.value, incoming.drop);
    incoming.discard();
    await router.push(path);
  } catch (error) {
    trouble.value = (error as Error).message;
  }
  saving.value = false;
}
async function paste(index: number): Promise<void> {
  const found = incoming.files[index]?.found;
  if (found?.kind !== 'steps' || incoming.into === '') return;
  const { into } = incoming;
  steps.send(into, found.steps);
  incoming.discard();
  await router.push(`/plans/${into}`);
}
</script>

<template>
  <ImportHead title="Import">
    <Button label="Discard" outlined @click="incoming.discard()" />
    <Button
      v-if="savable.length > 0"
      :label="savable.length === 1 ? 'Save it' : `Save all ${savable.length}`"
      :disabled="saving"
      @click="save"
    />
  </ImportHead>
  <p v-if="trouble" class="caution" role="alert">{{ trouble }} What is still listed here was not saved.</p>
  <ul>
    <li v-for="({ name, found }, i) in incoming.files" :key="i">
      <strong>{{ name }}</strong>
      <template v-if="found.kind === 'refused'">
        <span class="caution refused"><AppIcon name="warn" :size="16" /> {{ found.reason }} Nothing was changed.</span>
        <ul v-if="found.issues.length > 0" class="issues small">
          <li v-for="(issue, n) in found.issues.slice(0, MAX_ISSUES)" :key="n">
            {{ issue.field ? `${issue.field}: ` : '' }}{{ issue.reason }}
          </li>
          <li v-if="found.issues.length > MAX_ISSUES">and {{ found.issues.length - MAX_ISSUES }} more</li>
        </ul>
      </template>
      <template v-else-if="found.kind === 'outline'">
        <span>Words, which may be a plan.</span>
        <Button size="small" outlined label="Read them" @click="incoming.bringText(found.text, incoming.into)" />
      </template>
      <template v-else-if="found.kind === 'steps'">
        <span>{{ found.steps.length }} copied steps.</span>
        <Button v-if="incoming.into" size="small" label="Add to the open plan" @click="paste(i)" />
        <span v-else class="quiet">Open a plan and paste them there.</span>
      </template>
      <template v-else-if="found.kind === 'calendar'">
        <span>A calendar with {{ found.dates === 1 ? '1 date' : `${found.dates} dates` }}.</span>
        <Button size="small" outlined label="Choose dates" @click="incoming.look(found)" />
      </template>
      <template v-else-if="found.kind === 'people'">
        <span>A table of people, with {{ found.table.rows.length }} rows.</span>
        <Button size="small" outlined label="Match its columns" @click="incoming.look(found)" />
      </template>
      <template v-else-if="found.kind === 'captions'">
        <span>Captions of a class.</span>
        <Button size="small" outlined label="Read them" @click="incoming.look(found)" />
      </template>
      <span v-else>{{ inWords(found) }}</span>
    </li>
  </ul>
</template>

<style scoped>
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
header + ul,
p + ul {
  border-top: 1px solid var(--line);
}
ul > li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
  padding: 10px 0;
  border-bottom: 1px solid var(--line);
}
.refused {
  display: flex;
  gap: 6px;
  align-items: center;
}
.issues {
  flex-basis: 100%;
}
.issues li {
  padding: 0;
  border: 0;
}
strong {
  overflow-wrap: anywhere;
}
</style>
