import { useSessionStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { MAX_FILE_BYTES, recognise, type FixedSegment, type Recognised, type UnknownName } from '#core/exchange';

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

/** Captions with what was corrected of them, as they stay through a reload. */
interface CaptionsFile {
  name: string;
  text: string;
  fixed: readonly FixedSegment[];
  /** Names of positions that somebody typed. */
  typed: readonly UnknownName[];
}
const NO_CAPTIONS: CaptionsFile = { name: '', text: '', fixed: [], typed: [] };
/** A browser keeps some five million characters for a window: longer captions do not stay. */
const MAX_KEPT_CHARACTERS = 2_000_000;

/**
 * What somebody brought along to be taken in: words and captions, which stay through a reload, or other files. It is
 * kept for this window until it is taken or discarded.
 */
export const useIncoming = defineStore('incoming', () => {
  const text = useSessionStorage('zovrin.import', '');
  /** The id of the plan it is for; empty for a new one. */
  const into = useSessionStorage('zovrin.import-into', '');
  const captions = useSessionStorage<CaptionsFile>('zovrin.import-captions', NO_CAPTIONS);
  const files = shallowRef<readonly IncomingFile[]>(
    captions.value.text === '' ? [] : [{ name: captions.value.name, found: recognise(captions.value.text) }],
  );

  /** An outline alone is read at once; of several files each says what it is. */
  function show(read: readonly IncomingFile[]): void {
    const [first] = read;
    const found = read.length === 1 ? first?.found : undefined;
    [text.value, files.value] = found?.kind === 'outline' ? [found.text, []] : ['', read];
    const isKept = found?.kind === 'captions' && found.text.length <= MAX_KEPT_CHARACTERS;
    captions.value = isKept ? { ...NO_CAPTIONS, name: first?.name ?? '', text: found.text } : NO_CAPTIONS;
  }

  /** Takes over words that were pasted or dropped, whatever they are. */
  function bringText(pasted: string, planId = ''): void {
    into.value = planId;
    show([{ name: 'What was pasted', found: recognise(pasted) }]);
  }
  /** Takes over files. */
  async function bringFiles(brought: readonly File[], planId = ''): Promise<void> {
    const read = await Promise.all(brought.map(readFile));
    into.value = planId;
    show(read);
  }
  /** The one of the files that is looked at; of a single file, that one. */
  const looked = shallowRef<Recognised>();
  const shown = computed(() => looked.value ?? (files.value.length === 1 ? files.value[0]?.found : undefined));
  function look(found: Recognised): void {
    looked.value = found;
  }

  function discard(): void {
    [text.value, into.value, files.value, looked.value] = ['', '', [], undefined];
    captions.value = NO_CAPTIONS;
  }

  /** Takes a file from the list, once it is saved. */
  function drop(found: Recognised): void {
    files.value = files.value.filter((file) => file.found !== found);
    if (looked.value === found) looked.value = undefined;
  }

  return { text, into, captions, files, shown, look, drop, bringText, bringFiles, discard };
});
