import { ref, shallowRef } from 'vue';

/**
 * A list on the server: read once, and again whenever one of its items changes anywhere in this browser, if there is a
 * channel. If answers overtake each other, the answer to an earlier request is ignored.
 */
export function cachedList<T>(fetch: () => Promise<T>, channelName?: string) {
  const list = shallowRef<T>();
  const trouble = ref('');
  let loading: Promise<void> | undefined;
  /** How many requests were made, and the latest that was answered. */
  let [request, answered] = [0, 0];

  function load(): Promise<void> {
    const question = ++request;
    loading = fetch().then(
      (found) => {
        if (question > answered) [answered, list.value, trouble.value] = [question, found, ''];
      },
      (error: Error) => {
        if (question === request) [trouble.value, loading] = [error.message, undefined];
      },
    );
    return loading;
  }
  /** Resolves when they are here, or cannot be had now; the next call tries again. */
  const ready = (): Promise<void> => loading ?? load();
  /** Drops them from this window, pending answers too; the next call asks again. */
  function forget(): void {
    answered = request;
    [list.value, loading] = [undefined, undefined];
  }

  const channel = channelName === undefined ? undefined : new BroadcastChannel(channelName);
  if (channel) channel.onmessage = () => void load();
  /** Tells the other windows that one was made, changed or taken out here. */
  const tell = (): void => channel?.postMessage('changed');
  function changed(): void {
    tell();
    void load();
  }

  return { list, trouble, load, ready, forget, tell, changed };
}
