import { defineStore } from 'pinia';
import { computed } from 'vue';
import { customKindsOf, type Place } from '#core/cupboard';
import type { CustomKind } from '#core/props';
import { placeClient } from '../client/documents';
import { cachedList } from '../sync/cached-list';

/** The places and what is in their cupboards: read once, and again whenever one of them was changed anywhere. */
export const usePlaces = defineStore('places', () => {
  const { list: places, trouble, load, ready, changed } = cachedList(placeClient.list, 'zovrin.places');

  const place = (id: string | null): Place | undefined =>
    id === null ? undefined : places.value?.find((one) => one.id === id)?.document;
  /** The custom kinds that any place has, each name once. */
  const ownKinds = computed((): CustomKind[] => {
    const kinds = (places.value ?? []).flatMap(({ document }) => customKindsOf(document));
    return kinds.filter(({ label }, i) => kinds.findIndex((other) => other.label === label) === i);
  });

  return { places, trouble, ready, load, changed, place, ownKinds };
});
