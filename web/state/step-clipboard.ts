import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import { stepsInOutline } from '#core/exchange';
import { copiedSteps, emptyPlan, readCopiedSteps, STEPS_MEDIA_TYPE, type Step } from '#core/plan';
import { useLibrary } from './library';
import { useNameIndex } from './name-index';

/**
 * Copied steps, on the clipboard of the device: an outline for any other program, and the steps themselves for a plan.
 * What was copied last is kept here too, for a menu that may not read the clipboard.
 */
export const useStepClipboard = defineStore('stepClipboard', () => {
  const library = useLibrary();
  const names = useNameIndex();
  const last = shallowRef<readonly Step[]>([]);

  /** Puts steps on the clipboard of a copy or cut that is under way. */
  function write(clipboard: DataTransfer, steps: readonly Step[]): void {
    last.value = steps;
    const plan = { ...emptyPlan('Copied steps'), steps: [...steps] };
    clipboard.setData('text/plain', stepsInOutline(plan, library.all, names.index));
    clipboard.setData(STEPS_MEDIA_TYPE, copiedSteps(steps));
  }

  /** The steps on the clipboard of a paste; undefined if something else is there. */
  const read = (clipboard: DataTransfer): Step[] | undefined => readCopiedSteps(clipboard.getData(STEPS_MEDIA_TYPE));

  return { last, write, read };
});
