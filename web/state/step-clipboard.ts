import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import { copiedSteps, readCopiedSteps, STEPS_MEDIA_TYPE, stepsOutline, type Step } from '#core/plan';

/**
 * Copied steps, on the clipboard of the device: an outline for any other program, and the steps themselves for a plan.
 * What was copied last is kept here too, for a menu that may not read the clipboard.
 */
export const useStepClipboard = defineStore('stepClipboard', () => {
  const last = shallowRef<readonly Step[]>([]);

  /** Puts steps on the clipboard of a copy or cut that is under way. */
  function write(clipboard: DataTransfer, steps: readonly Step[]): void {
    last.value = steps;
    clipboard.setData('text/plain', stepsOutline(steps));
    clipboard.setData(STEPS_MEDIA_TYPE, copiedSteps(steps));
  }

  /** The steps on the clipboard of a paste; undefined if something else is there. */
  const read = (clipboard: DataTransfer): Step[] | undefined => readCopiedSteps(clipboard.getData(STEPS_MEDIA_TYPE));

  return { last, write, read };
});
