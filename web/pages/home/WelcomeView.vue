<script setup lang="ts">
import Button from 'primevue/button';
import { ribbonBlocks } from '#core/timeline';
import { useExample } from '../../widgets/session/use-example';
import RibbonThumb from '../../widgets/ribbon/RibbonThumb.vue';
import SampleHouse from '../../widgets/settings/SampleHouse.vue';
import UsualFields from '../../widgets/settings/UsualFields.vue';

/** The first page of a house in which nothing was made yet: what this is, and how to begin. */
const example = useExample();
const emit = defineEmits<{ create: []; loaded: [] }>();
</script>

<template>
  <section class="welcome" aria-labelledby="welcome-title">
    <h1 id="welcome-title">Plan long holds, then lead them by the clock</h1>
    <p>
      A plan is a list of steps: holds with their length on each side, props, and breath with its counts. Zovrin adds up
      the time, checks sides, props and cautions, and draws the whole class as one ribbon. When you teach, it leads with
      a clock and a bell, and keeps a record of what was really held.
    </p>
    <RibbonThumb
      v-if="example"
      :ribbon="ribbonBlocks(example.phases)"
      :totals="example.totals"
      :px-per-ms="700 / example.totals.totalMs"
      :width="720"
      :height="64"
    />
    <div class="actions">
      <Button size="large" label="Create your first plan" @click="emit('create')" />
      <Button size="large" outlined label="Start from an example" @click="emit('create')" />
      <SampleHouse @changed="emit('loaded')" />
    </div>
    <h2>What a new plan begins with</h2>
    <UsualFields />
    <p class="small quiet">
      You can change this at any time in <RouterLink to="/settings?group=plans">Settings</RouterLink>, and for each plan
      on its own. <RouterLink to="/help">How it works</RouterLink> shows the whole way from a plan to its record.
    </p>
  </section>
</template>

<style scoped>
.welcome {
  display: flex;
  flex-direction: column;
  gap: 18px;
  max-width: 820px;
  padding: 48px 32px;
}
h1 {
  font-size: 32px;
  line-height: 38px;
}
h2 {
  margin-top: 14px;
  font-size: 19px;
  line-height: 24px;
}
p {
  max-width: 680px;
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
}
@media (width < 640px) {
  .welcome {
    padding: 20px 16px;
  }
  h1 {
    font-size: 26px;
    line-height: 32px;
  }
}
.welcome > svg {
  max-width: 100%;
}
</style>
