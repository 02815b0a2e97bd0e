import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import type { Strains } from '#core/body';
import type { ToMeasure } from '#core/caution';
import { knowledgeWith } from '#library/cautions';
import { measureSetUps } from '../client/measuring-thread';
import { useLibrary } from './library';

/** So many are sent at once: half a second of work, after which the cautions are drawn with what has come. */
const AT_ONCE = 40;

/**
 * The knowledge for cautions, with the custom entries. Separate from the library, so that only pages that screen load
 * it. Set-ups and bodies that no table has are measured in a thread as they are met: until then they are screened with
 * more care, and then everything that stands on the knowledge is worked out anew.
 */
export const useKnowledge = defineStore('knowledge', () => {
  const library = useLibrary();
  const measured = shallowRef<ReadonlyMap<string, Strains>>(new Map());
  const wanted = new Map<string, ToMeasure>();
  let isUnderWay = false;
  let hasFailed = false;

  async function measureAll(): Promise<void> {
    isUnderWay = true;
    while (wanted.size > 0 && !hasFailed) {
      const batch = [...wanted.values()].slice(0, AT_ONCE);
      try {
        const strains = await measureSetUps(batch);
        const next = new Map(measured.value);
        for (const [i, { key }] of batch.entries()) {
          const one = strains[i];
          if (one) next.set(key, one);
          wanted.delete(key);
        }
        measured.value = next;
      } catch {
        // The more careful reading stays.
        hasFailed = true;
      }
    }
    isUnderWay = false;
  }

  const lookUp =
    (known: ReadonlyMap<string, Strains>) =>
    (one: ToMeasure): Strains | undefined => {
      const strains = known.get(one.key);
      if (strains || hasFailed) return strains;
      wanted.set(one.key, one);
      if (!isUnderWay) {
        isUnderWay = true;
        queueMicrotask(() => void measureAll());
      }
      return undefined;
    };
  const knowledge = computed(() =>
    knowledgeWith(library.all, library.positions, library.techniques, lookUp(measured.value)),
  );
  return { knowledge };
});
