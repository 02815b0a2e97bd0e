<script setup lang="ts">
import AppIcon from '../AppIcon.vue';

/** A titled part of the inspector, with a button that adds a row. */
const { title, says = '', add = '' } = defineProps<{ title: string; says?: string; add?: string }>();
const emit = defineEmits<{ add: [] }>();
</script>

<template>
  <section>
    <header>
      <h3>{{ title }}</h3>
      <span class="small quiet">{{ says }}</span>
      <slot name="head" />
      <button v-if="add" type="button" class="add small" @click="emit('add')">
        <AppIcon name="plus" :size="14" />{{ add }}
      </button>
    </header>
    <slot />
  </section>
</template>

<style scoped>
section {
  padding: 6px 0 8px;
  border-top: 1px solid var(--line);
}
header {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 26px;
}
h3 {
  font: 600 14.5px/20px var(--text);
}
.add {
  display: inline-flex;
  gap: 4px;
  align-items: center;
  min-height: 26px;
  margin-left: auto;
  padding: 0 4px;
  border: 0;
  background: none;
  color: var(--main);
  font-weight: 600;
  cursor: pointer;
}
.add:hover {
  text-decoration: underline;
}
</style>
