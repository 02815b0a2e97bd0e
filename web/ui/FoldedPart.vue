<script setup lang="ts">
import Accordion from 'primevue/accordion';
import AccordionContent from 'primevue/accordioncontent';
import AccordionHeader from 'primevue/accordionheader';
import AccordionPanel from 'primevue/accordionpanel';
import { ref } from 'vue';

/** A part that is folded away under its title until it is wanted. */
const { title = '', open = false } = defineProps<{
  title?: string;
  /** Whether it is open at first. */
  open?: boolean;
}>();
defineSlots<{ default?: () => unknown; title?: () => unknown }>();

const PART = 'part';
const opened = ref<string | null>(open ? PART : null);
</script>

<template>
  <Accordion v-model:value="opened" class="folded-part">
    <AccordionPanel :value="PART">
      <AccordionHeader
        ><span class="title"
          ><slot name="title">{{ title }}</slot></span
        ></AccordionHeader
      >
      <AccordionContent><slot /></AccordionContent>
    </AccordionPanel>
  </Accordion>
</template>

<style scoped>
.folded-part :deep(.p-accordionpanel) {
  border: 0;
}
.folded-part :deep(.p-accordionheader) {
  gap: 6px;
  flex-direction: row-reverse;
  justify-content: flex-end;
  width: 100%;
  min-height: 28px;
  padding: 2px 0;
  border: 0;
  font-size: 13.5px;
  text-align: left;
}
.folded-part :deep(.p-accordionheader-toggle-icon) {
  flex: none;
  width: 12px;
  height: 12px;
  color: inherit;
}
.folded-part :deep(.p-accordioncontent-content) {
  padding: 2px 0 6px;
}
@media (pointer: coarse) {
  .folded-part :deep(.p-accordionheader) {
    min-height: 44px;
  }
}
</style>
