import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { ownKindsOf, type Place } from '#core/cupboard';
import type { OwnKind } from '#core/props';
import type { StoredPlace } from '#api';
import { listPlaces } from '../client/places';

/** The places and what is in their cupboards: read once, and again whenever one of them was changed anywhere. */
export const usePlaces = defineStore('places', () => {
  const places = shallowRef<StoredPlace[]>();
  const trouble = ref('');
  let loading: Promise<void> | undefined;

  function load(): Promise<void> {
    loading = listPlaces().then(
      (list) => {
        [places.value, trouble.value] = [list, ''];
      },
      (error: Error) => {
        [trouble.value, loading] = [error.message, undefined];
      },
    );
    return loading;
  }
  /** Resolves when the places are here, or cannot be had now; the next call tries again. */
  const ready = (): Promise<void> => loading ?? load();

  const channel = new BroadcastChannel('zovrin.places');
  channel.onmessage = () => void load();
  /** A place was made, changed or taken out here. */
  function changed(): void {
    channel.postMessage('changed');
    void load();
  }

  const place = (id: string | null): Place | undefined =>
    id === null ? undefined : places.value?.find((one) => one.id === id)?.document;
  /** The kinds of one's own that any place has, each name once. */
  const ownKinds = computed((): OwnKind[] => {
    const kinds = (places.value ?? []).flatMap(({ document }) => ownKindsOf(document));
    return kinds.filter(({ label }, i) => kinds.findIndex((other) => other.label === label) === i);
  });

  return { places, trouble, ready, load, changed, place, ownKinds };
});
