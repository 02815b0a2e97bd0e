import { useEventListener } from '@vueuse/core';
import { ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { belongsToControl } from '../ui/keys';

/** The least that looks like a plan: two lines, or something long. */
const MIN_LENGTH = 60;
const looksLikeAPlan = (text: string): boolean => /\S\s*\n\s*\S/.test(text.trim()) || text.trim().length > MIN_LENGTH;

/** Takes what is dropped or pasted anywhere to the import page; whether something is being dragged over the window. */
export function useIncomingAnywhere() {
  const route = useRoute();
  const router = useRouter();
  const isOver = ref(false);

  const planId = (): string => (route.path.startsWith('/plans/') ? String(route.params.id) : '');
  const isTaken = (event: Event): boolean =>
    event.defaultPrevented || route.meta.bare === true || document.querySelector('[role="dialog"]') !== null;
  const store = async () => (await import('../state/incoming')).useIncoming();

  const hasFiles = (event: DragEvent): boolean => event.dataTransfer?.types.includes('Files') ?? false;
  useEventListener(document, 'dragover', (event) => {
    if (isTaken(event) || !hasFiles(event)) return;
    event.preventDefault();
    isOver.value = true;
  });
  useEventListener(document, 'dragleave', (event) => {
    if (event.relatedTarget === null) isOver.value = false;
  });
  useEventListener(document, 'drop', (event) => {
    isOver.value = false;
    if (isTaken(event) || !hasFiles(event)) return;
    event.preventDefault();
    // The files are gone with the event.
    const files = [...(event.dataTransfer?.files ?? [])];
    const into = planId();
    void store()
      .then((incoming) => incoming.bringFiles(files, into))
      .then(() => router.push('/import'));
  });
  // After the pages: the planner takes its own steps.
  useEventListener(window, 'paste', (event: ClipboardEvent) => {
    if (isTaken(event) || belongsToControl(event.target)) return;
    const text = event.clipboardData?.getData('text/plain') ?? '';
    const files = [...(event.clipboardData?.files ?? [])].filter(({ type }) => !type.startsWith('image/'));
    if (files.length === 0 && !looksLikeAPlan(text)) return;
    event.preventDefault();
    const into = planId();
    void store()
      .then((incoming) => (files.length > 0 ? incoming.bringFiles(files, into) : incoming.bringText(text, into)))
      .then(() => router.push('/import'));
  });
  return { isOver };
}
