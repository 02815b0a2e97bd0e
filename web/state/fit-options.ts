import { defineStore } from 'pinia';
import { shallowReactive } from 'vue';
import { usualFitOptions, type FitOptions } from '#core/fit';
import type { Plan } from '#core/plan';
import { useLibrary } from './library';

/** What each plan was last asked to be fitted to, for as long as the page is open. */
export const useFitOptions = defineStore('fit-options', () => {
  const byPlan = shallowReactive(new Map<string, FitOptions>());
  const library = useLibrary();

  const of = (planId: string, plan: Plan): FitOptions => byPlan.get(planId) ?? usualFitOptions(plan, library.all);
  /** Without options: as usual again, which goes with the plan. */
  function set(planId: string, options: FitOptions | null): void {
    if (options) byPlan.set(planId, options);
    else byPlan.delete(planId);
  }
  return { of, set, byPlan: byPlan };
});
