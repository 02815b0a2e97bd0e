<script setup lang="ts" generic="T extends string">
import Tab from 'primevue/tab';
import TabList from 'primevue/tablist';
import Tabs from 'primevue/tabs';

/** The views of one page, as tabs; arrow keys move between them. The page shows the chosen one in a `tabpanel`. */
const { views, label } = defineProps<{
  label: string;
  views: readonly { value: T; label: string }[];
}>();
const view = defineModel<T>({ required: true });
/** The page has the panel. */
const NO_PANEL = { root: { 'aria-controls': null } };
defineSlots<{ tab?: (props: { value: T; label: string }) => unknown }>();
</script>

<template>
  <Tabs v-model:value="view" class="view-tabs" scrollable select-on-focus>
    <TabList :aria-label="label" :pt="{ tabList: { 'aria-label': label } }">
      <Tab v-for="one in views" :key="one.value" :value="one.value" :pt="NO_PANEL">
        <slot name="tab" :value="one.value" :label="one.label">{{ one.label }}</slot>
      </Tab>
    </TabList>
  </Tabs>
</template>

<style scoped>
.view-tabs {
  min-width: 0;
}
</style>
