<script setup lang="ts">
import Skeleton from 'primevue/skeleton';
</script>

<template>
  <div class="waiting" role="status" aria-label="Loading the ribbon">
    <Skeleton height="74px" />
    <Skeleton height="128px" />
    <Skeleton height="20px" width="40%" />
  </div>
</template>

<style scoped>
.waiting {
  display: grid;
  gap: 6px;
  min-height: 234px;
}
</style>
