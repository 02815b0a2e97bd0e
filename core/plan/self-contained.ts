import type { Library } from '#core/catalogue';
import type { Plan } from './plan';

/**
 * The plan with the times of its positions written into its holds, for a file that will be opened where the library
 * may not have them. Holds of positions this library does not know keep what they have.
 */
export function selfContained(plan: Plan, library: Library): Plan {
  return {
    ...plan,
    steps: plan.steps.map((step) => {
      const position = step.kind === 'hold' ? library.position(step.position) : undefined;
      if (step.kind !== 'hold' || !position) return step;
      return {
        ...step,
        enterSeconds: step.enterSeconds ?? position.enterSeconds,
        leaveSeconds: step.leaveSeconds ?? position.leaveSeconds,
        switchSeconds: step.switchSeconds ?? position.switchSeconds,
      };
    }),
  };
}
