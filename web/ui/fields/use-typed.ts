import { computed, ref, useId, watch, type ComputedRef, type Ref } from 'vue';

export interface TypedField {
  id: string;
  typed: Ref<string>;
  /** Why what was typed was refused; empty if it was not. */
  reason: Ref<string>;
  /** What is shown under the field: the reason, or what is wrong with the value that stands here. */
  problem: ComputedRef<string>;
  /** What the input carries so that a screen reader reads the problem with it. */
  aria: ComputedRef<{ 'aria-invalid': boolean; 'aria-describedby': string | undefined }>;
  reasonId: string;
}

/**
 * What is typed into a field until it is taken: it follows the value, keeps what was refused, and links the input to
 * the reason.
 */
export function useTyped(shown: () => string, problem: () => string): TypedField {
  const id = useId();
  const typed = ref('');
  const reason = ref('');
  watch(
    shown,
    (text) => {
      typed.value = text;
      reason.value = '';
    },
    { immediate: true },
  );
  const shownProblem = computed(() => reason.value || problem());
  const reasonId = `${id}-reason`;
  const aria = computed(() => ({
    'aria-invalid': shownProblem.value !== '',
    'aria-describedby': shownProblem.value === '' ? undefined : reasonId,
  }));
  return { id, typed, reason, problem: shownProblem, aria, reasonId };
}
