import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import type { Step } from '#core/plan';

/** Steps on their way from the import page into a plan. */
export const useIncomingSteps = defineStore('incomingSteps', () => {
  const waiting = shallowRef<{ planId: string; steps: readonly Step[] }>();

  const send = (planId: string, steps: readonly Step[]): void => {
    waiting.value = { planId, steps };
  };
  /** The steps that wait for a plan, once. */
  function take(planId: string): readonly Step[] {
    if (waiting.value?.planId !== planId) return [];
    const { steps } = waiting.value;
    waiting.value = undefined;
    return steps;
  }
  return { send, take };
});
