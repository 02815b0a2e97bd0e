<script setup lang="ts">
import AppIcon from './AppIcon.vue';

/** The way back to where something belongs, by its name. */
defineProps<{ to: string; label: string }>();
</script>

<template>
  <RouterLink :to="to" class="back"
    ><AppIcon name="back" /><span>{{ label }}</span></RouterLink
  >
</template>

<style scoped>
.back {
  display: inline-flex;
  gap: 4px;
  align-items: center;
  align-self: flex-start;
  min-width: 0;
  min-height: 24px;
  color: var(--main);
  font-weight: 600;
  text-decoration: none;
}
span {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
