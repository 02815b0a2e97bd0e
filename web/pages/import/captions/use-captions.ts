import { computed, ref, shallowRef, watch } from 'vue';
import type { Ms } from '#core/numbers';
import {
  entryOfName,
  spokenEntries,
  spokenId,
  type ClassSegment,
  type FixedSegment,
  type UnknownName,
} from '#core/exchange';
import { spokenWaysIn } from '#library/captions/sayings';
import { alsoCalled } from '#library/synonyms';
import { readCaptions } from '../../../client/captions-thread';
import { useIncoming } from '../../../state/incoming';
import { useLibrary } from '../../../state/library';
import { latestOnly } from '../../../sync/latest';
import type { CaptionsRead } from '../../../workers/captions';

/** What somebody has decided of a class. Undo goes back through these. */
type Fixed = readonly FixedSegment[];
const MAX_STEPS_BACK = 100;

/** The captions of an import as they are read now, around what was corrected. */
export function useCaptions() {
  const incoming = useIncoming();
  const library = useLibrary();
  const text = computed(() => (incoming.shown?.kind === 'captions' ? incoming.shown.text : ''));
  // What was corrected stays through a reload, as long as the captions do.
  const fixed = computed({
    get: (): Fixed => incoming.captions.fixed,
    set: (next) => (incoming.captions = { ...incoming.captions, fixed: next }),
  });
  const typed = computed({
    get: (): readonly UnknownName[] => incoming.captions.typed,
    set: (next) => (incoming.captions = { ...incoming.captions, typed: next }),
  });
  const entries = computed(() => [
    ...spokenEntries({ positions: library.positions, techniques: library.techniques, alsoCalled, spokenWaysIn }),
    ...typed.value.map(entryOfName),
  ]);

  const past = shallowRef<Fixed[]>([]);
  const future = shallowRef<Fixed[]>([]);
  const result = shallowRef<CaptionsRead>();
  const trouble = ref('');
  const asks = latestOnly();

  async function read(): Promise<void> {
    const isLatest = asks();
    try {
      const found = await readCaptions(text.value, entries.value, fixed.value);
      if (isLatest()) [result.value, trouble.value] = [found, ''];
    } catch (error) {
      if (isLatest()) trouble.value = (error as Error).message;
    }
  }
  watch([text, entries, fixed], read, { immediate: true });
  watch(text, () => {
    [fixed.value, typed.value] = [[], []];
    [past.value, future.value] = [[], []];
  });

  /** Names that the library does not have: those that were read, and those that were typed. */
  const unknown = computed((): UnknownName[] => {
    const found = result.value?.ok ? result.value.read.unknown : [];
    return [...typed.value, ...found.filter(({ id }) => !typed.value.some((one) => one.id === id))];
  });
  const unknownOf = (id: string | null): UnknownName | undefined => unknown.value.find((one) => one.id === id);
  /** Takes a name that somebody typed, with or without two sides; a name from before gets the sides that are wanted. */
  function nameIt(name: string, isSided: boolean): UnknownName {
    const own = { id: spokenId(name), name: name.trim(), isSided };
    typed.value = [...typed.value.filter(({ id }) => id !== own.id), own];
    return own;
  }

  const segments = computed(() => (result.value?.ok ? result.value.read.segments : []));
  const isFixed = ({ startMs, endMs }: Pick<ClassSegment, 'startMs' | 'endMs'>): boolean =>
    fixed.value.some((one) => one.startMs === startMs && one.endMs === endMs);

  function put(next: Fixed): void {
    past.value = [...past.value.slice(1 - MAX_STEPS_BACK), fixed.value];
    future.value = [];
    fixed.value = next;
  }
  const overlaps = (one: FixedSegment, other: FixedSegment): boolean =>
    one.startMs < other.endMs && other.startMs < one.endMs;
  /** The way into a segment, or out of it. */
  const leads = (one: FixedSegment, { startMs, endMs }: Pick<ClassSegment, 'startMs' | 'endMs'>): boolean =>
    (one.kind === 'in' && one.endMs === startMs) || (one.kind === 'out' && one.startMs === endMs);
  /** Fixes segments; of those that were fixed before, the ones they lie over are given up, with what leads to them. */
  function fix(...next: FixedSegment[]): void {
    const over = fixed.value.filter((one) => next.some((other) => overlaps(one, other)));
    const isLost = (one: FixedSegment): boolean =>
      over.some((other) => leads(one, other)) && !next.some((other) => leads(one, other));
    put([...fixed.value.filter((one) => !over.includes(one) && !isLost(one)), ...next]);
  }
  /** Moves the beginning and the end of a hold. What it gives up is the way into it, or out of it, and no other hold. */
  function move(segment: ClassSegment, startMs: Ms, endMs: Ms): void {
    const at = segments.value.indexOf(segment);
    const [before, after] = [segments.value[at - 1], segments.value[at + 1]];
    const { kind, id, side } = segment;
    const next: FixedSegment[] = [{ kind, id, side, startMs, endMs }];
    if (startMs > segment.startMs) {
      const fromMs = before?.kind === 'in' ? before.startMs : segment.startMs;
      next.push({ kind: 'in', id: null, side, startMs: fromMs, endMs: startMs });
    }
    if (endMs < segment.endMs) {
      const toMs = after?.kind === 'out' ? after.endMs : segment.endMs;
      next.push({ kind: 'out', id: null, side, startMs: endMs, endMs: toMs });
    }
    fix(...next);
  }
  /** Lets a segment be read anew, with the ways into it and out of it. */
  function free(segment: ClassSegment): void {
    const belongs = (one: FixedSegment): boolean =>
      (one.startMs === segment.startMs && one.endMs === segment.endMs) || leads(one, segment);
    put(fixed.value.filter((one) => !belongs(one)));
  }
  function undo(): void {
    const before = past.value.at(-1);
    if (!before) return;
    future.value = [...future.value, fixed.value];
    past.value = past.value.slice(0, -1);
    fixed.value = before;
  }
  function redo(): void {
    const after = future.value.at(-1);
    if (!after) return;
    past.value = [...past.value, fixed.value];
    future.value = future.value.slice(0, -1);
    fixed.value = after;
  }
  const canUndo = computed(() => past.value.length > 0);
  const canRedo = computed(() => future.value.length > 0);
  return {
    result,
    segments,
    unknown,
    unknownOf,
    nameIt,
    trouble,
    isFixed,
    fix,
    move,
    free,
    undo,
    redo,
    canUndo,
    canRedo,
    read,
  };
}
