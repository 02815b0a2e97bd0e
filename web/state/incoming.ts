import { useSessionStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { MAX_FILE_BYTES, recognise, type Recognised } from '#core/exchange';

/** A file that was brought along, and what it was found to be. */
export interface IncomingFile {
  name: string;
  found: Recognised;
}

const megabytes = (bytes: number): number => Math.round(bytes / 1_000_000);

async function readFile(file: File): Promise<IncomingFile> {
  const { name, size } = file;
  if (size > MAX_FILE_BYTES) {
    const reason = `It is ${megabytes(size)} MB; a file of up to ${megabytes(MAX_FILE_BYTES)} MB can be read.`;
    return { name, found: { kind: 'refused', reason, issues: [] } };
  }
  try {
    return { name, found: recognise(await file.text()) };
  } catch {
    return { name, found: { kind: 'refused', reason: 'It could not be read.', issues: [] } };
  }
}

/**
 * What somebody brought along to be taken in: words, which stay through a reload, or files. It is kept for this window
 * until it is taken or discarded.
 */
export const useIncoming = defineStore('incoming', () => {
  const text = useSessionStorage('zovrin.import', '');
  /** The id of the plan it is for; empty for a new one. */
  const into = useSessionStorage('zovrin.import-into', '');
  const files = shallowRef<readonly IncomingFile[]>([]);

  /** Takes over words that were pasted or dropped, whatever they are. */
  function bringText(pasted: string, planId = ''): void {
    into.value = planId;
    const found = recognise(pasted);
    if (found.kind === 'outline') [text.value, files.value] = [found.text, []];
    else [text.value, files.value] = ['', [{ name: 'What was pasted', found }]];
  }
  /** Takes over files. One outline alone is read at once; of several files each says what it is. */
  async function bringFiles(brought: readonly File[], planId = ''): Promise<void> {
    const read = await Promise.all(brought.map(readFile));
    into.value = planId;
    const [only] = read;
    if (read.length === 1 && only?.found.kind === 'outline') [text.value, files.value] = [only.found.text, []];
    else [text.value, files.value] = ['', read];
  }
  /** The one of the files that is looked at; of a single file, that one. */
  const looked = shallowRef<Recognised>();
  const shown = computed(() => looked.value ?? (files.value.length === 1 ? files.value[0]?.found : undefined));
  function look(found: Recognised): void {
    looked.value = found;
  }

  function discard(): void {
    [text.value, into.value, files.value, looked.value] = ['', '', [], undefined];
  }

  /** Takes a file from the list, once it is saved. */
  function drop(found: Recognised): void {
    files.value = files.value.filter((file) => file.found !== found);
    if (looked.value === found) looked.value = undefined;
  }

  return { text, into, files, shown, look, drop, bringText, bringFiles, discard };
});
