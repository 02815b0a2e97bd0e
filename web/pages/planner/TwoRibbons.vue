<script setup lang="ts">
import { computed } from 'vue';
import type { Plan } from '#core/plan';
import type { Timeline } from '#core/timeline';
import { ribbonDomainMs } from '../../widgets/ribbon/layout';
import SessionRibbon from '../../widgets/ribbon/SessionRibbon.vue';

/** A plan before and after, one ribbon above the other on one scale. */
const {
  before,
  after,
  locks = false,
  chosen,
} = defineProps<{
  before: { plan: Plan; timeline: Timeline };
  after: { plan: Plan; timeline: Timeline } | undefined;
  locks?: boolean;
  /** Id of the highlighted step; it is highlighted in both. */
  chosen: string | undefined;
}>();
const emit = defineEmits<{ choose: [id: string]; lock: [id: string] }>();

const untilMs = computed(() => Math.max(ribbonDomainMs(before.timeline), after ? ribbonDomainMs(after.timeline) : 0));
const at = ({ steps }: Plan): number => steps.findIndex(({ id }) => id === chosen);
const idAt = ({ steps }: Plan, index: number): string => steps[index]?.id ?? '';
</script>

<template>
  <div class="two">
    <section aria-label="Before">
      <h2 class="small">Before</h2>
      <SessionRibbon
        :plan="before.plan"
        :timeline="before.timeline"
        :until-ms="untilMs"
        :locks="locks"
        :selected="at(before.plan)"
        @select="emit('choose', idAt(before.plan, $event))"
        @lock="emit('lock', idAt(before.plan, $event))"
      />
    </section>
    <section aria-label="After">
      <h2 class="small">After</h2>
      <SessionRibbon
        v-if="after"
        :plan="after.plan"
        :timeline="after.timeline"
        :until-ms="untilMs"
        :selected="at(after.plan)"
        @select="emit('choose', idAt(after.plan, $event))"
      />
      <p v-else class="quiet none"><slot /></p>
    </section>
  </div>
</template>

<style scoped>
.two {
  display: flex;
  flex-direction: column;
  gap: 2px;
}
section {
  display: grid;
  grid-template-columns: 54px minmax(0, 1fr);
  align-items: start;
}
h2 {
  padding-top: 50px;
  color: var(--ink-2);
  font-weight: 600;
}
.none {
  padding-top: 48px;
}
@media (width < 640px) {
  section {
    grid-template-columns: minmax(0, 1fr);
  }
  h2 {
    padding-top: 0;
  }
}
</style>
