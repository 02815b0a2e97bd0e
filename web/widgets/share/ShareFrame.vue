<script setup lang="ts" generic="F extends string">
import { useClipboard } from '@vueuse/core';
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { computed } from 'vue';
import { saveText } from '../../state/files';
import AppIcon from '../../ui/AppIcon.vue';
import RadioField from '../../ui/fields/RadioField.vue';
import FoldedPart from '../../ui/FoldedPart.vue';
import { overlays } from '../../ui/overlays';
import { printText } from './print-text';
import type { ShareForm, Written } from './written';

/**
 * Hands something over in one of several forms, after it has been seen: the form at the left with its options, what will be
 * written at the right, then copy, print or download. A form that is not written as text is shown by the slot `seen`,
 * and saved by whoever shows it.
 */
const { header, forms, name, written, inside } = defineProps<{
  header: string;
  forms: readonly ShareForm<F>[];
  /** The name of the file. */
  name: string;
  /** What is written, or why it cannot be had in this form; nothing while it is being made, or made otherwise. */
  written: Written | { missing: string } | undefined;
  /** What of people is in it, in a sentence. */
  inside: string;
}>();
const visible = defineModel<boolean>('visible', { required: true });
const form = defineModel<F>('form', { required: true });
defineSlots<{ options?: () => unknown; seen?: () => unknown; actions?: () => unknown }>();

const says = computed(() => forms.find(({ value }) => value === form.value)?.says ?? '');
const file = computed(() => (written && 'text' in written ? written : undefined));
const missing = computed(() => (written && 'missing' in written ? written.missing : ''));
const isPage = computed(() => file.value?.type === 'text/html');
/** As much as is read before it is taken; a long file is not drawn whole. */
const PREVIEW = 6000;
const preview = computed(() => file.value?.text.slice(0, PREVIEW) ?? '');
const notInIt = computed(() => file.value?.notInIt ?? []);
const notInItTitle = computed(() =>
  notInIt.value.length === 1
    ? '1 thing is not in this outline'
    : `${notInIt.value.length} things are not in this outline`,
);

const { copy, copied, isSupported } = useClipboard({ copiedDuring: 3000 });
function download(): void {
  if (file.value) saveText(file.value.text, name, file.value.ending, file.value.type);
}
function print(): void {
  if (file.value) printText(file.value.text, file.value.type, name);
}
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    dismissable-mask
    :append-to="overlays()"
    :header="header"
    :style="{ width: '820px' }"
  >
    <div class="share">
      <div class="forms">
        <RadioField v-model="form" label="Form" :options="forms" />
        <p class="small quiet">{{ says }}</p>
        <slot name="options" />
      </div>
      <div class="seen">
        <p v-if="missing" class="caution" role="status"><AppIcon name="warn" :size="16" /> {{ missing }}</p>
        <template v-else>
          <slot name="seen">
            <iframe v-if="isPage" :srcdoc="file?.text" sandbox="" title="The page as it will be" />
            <pre v-else tabindex="0" role="region" aria-label="What is written">{{ preview }}</pre>
            <p v-if="!isPage && preview.length < (file?.text.length ?? 0)" class="small quiet">
              The file goes on from here.
            </p>
          </slot>
          <p class="small quiet">{{ inside }}</p>
          <FoldedPart v-if="notInIt.length > 0" :title="notInItTitle">
            <ul class="small">
              <li v-for="what in notInIt" :key="what">{{ what }}</li>
            </ul>
          </FoldedPart>
        </template>
      </div>
    </div>
    <template #footer>
      <span class="small quiet copied" role="status">{{ copied ? 'Copied.' : '' }}</span>
      <slot name="actions">
        <Button label="Print" outlined :disabled="!file" @click="print" />
        <Button v-if="isSupported && !isPage" label="Copy" outlined :disabled="!file" @click="copy(file?.text ?? '')" />
        <Button label="Download" :disabled="!file" @click="download" />
      </slot>
    </template>
  </Dialog>
</template>

<style scoped>
.share {
  display: grid;
  grid-template-columns: 220px minmax(0, 1fr);
  gap: 8px 24px;
}
.forms {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
iframe {
  width: 100%;
  height: 420px;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
}
pre {
  height: 300px;
  overflow: auto;
  margin: 0;
  padding: 8px 10px;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
  background: var(--sheet);
  font-size: 12.5px;
  line-height: 17px;
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}
.caution {
  display: flex;
  gap: 6px;
  align-items: flex-start;
}
.copied {
  margin-right: auto;
}
@media (width < 700px) {
  .share {
    grid-template-columns: minmax(0, 1fr);
  }
  pre {
    height: 200px;
  }
}
</style>
