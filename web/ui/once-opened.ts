import { ref, watch, type Ref } from 'vue';

/** Whether a dialog was ever opened: until then its code need not be loaded. Once loaded it stays, and can close gently. */
export function onceOpened(open: Ref<boolean>): Readonly<Ref<boolean>> {
  const was = ref(open.value);
  watch(open, (is) => (was.value ||= is), { flush: 'sync' });
  return was;
}
