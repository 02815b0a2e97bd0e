import { defineStore } from 'pinia';
import { shallowReactive } from 'vue';
import { usualFitOptions, type FitOptions } from '#core/fit';
import type { Plan } from '#core/plan';
import { useLibrary } from './library';

/** The last fit options of each plan, as long as the page is open. */
export const useFitOptions = defineStore('fit-options', () => {
  const byPlan = shallowReactive(new Map<string, FitOptions>());
  const library = useLibrary();

  const of = (planId: string, plan: Plan): FitOptions => byPlan.get(planId) ?? usualFitOptions(plan, library.all);
  /** Without options: the defaults again, which follow the plan. */
  function set(planId: string, options: FitOptions | null): void {
    if (options) byPlan.set(planId, options);
    else byPlan.delete(planId);
  }
  return { of, set, byPlan: byPlan };
});
