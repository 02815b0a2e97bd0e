<script setup lang="ts" generic="F extends string">
import { computedAsync } from '@vueuse/core';
import Button from 'primevue/button';
import { computed, defineAsyncComponent, ref, shallowRef } from 'vue';
import IconButton from '../../ui/IconButton.vue';
import { onceOpened } from '../../ui/once-opened';
import type { ShareForm, Written } from './written';

/** A button that hands something over in one of several forms, each of them written when it is looked at. */
const {
  header,
  label = '',
  name,
  forms,
  write,
  inside,
} = defineProps<{
  header: string;
  /** Words on the button; without them it is an icon. */
  label?: string;
  /** The name of the file. */
  name: string;
  forms: readonly [ShareForm<F>, ...ShareForm<F>[]];
  /** Writes a form; rejects with why it cannot be had. */
  write: (form: F) => Written | Promise<Written>;
  /** What of people is in it, in a sentence. */
  inside: string;
}>();
const ShareFrame = defineAsyncComponent(() => import('./ShareFrame.vue'));
const visible = ref(false);
const ever = onceOpened(visible);
const form = shallowRef<F>(forms[0].value);

/** While a form is being written, the one before it is not offered under its name. */
const writing = ref(false);
const latest = computedAsync(
  async (): Promise<Written | { missing: string } | undefined> => {
    const wanted = form.value;
    if (!visible.value) return undefined;
    try {
      return await write(wanted);
    } catch (error) {
      return { missing: (error as Error).message };
    }
  },
  undefined,
  writing,
);
const written = computed(() => (writing.value ? undefined : latest.value));
</script>

<template>
  <Button v-if="label" size="small" outlined :label="label" @click="visible = true" />
  <IconButton v-else icon="share" label="Share" @click="visible = true" />
  <ShareFrame
    v-if="ever"
    v-model:visible="visible"
    v-model:form="form"
    :header="header"
    :forms="forms"
    :name="name"
    :written="written"
    :inside="inside"
  />
</template>
