import { ref, shallowRef } from 'vue';

/**
 * What the server has many of: read once, and again whenever one of them was changed anywhere in this browser, which is
 * told on a channel where there is one. Where answers overtake each other, one to an earlier question is left aside.
 */
export function cachedList<T>(fetch: () => Promise<T>, channelName?: string) {
  const list = shallowRef<T>();
  const trouble = ref('');
  let loading: Promise<void> | undefined;
  /** How many questions were asked, and which of them was answered last of all. */
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
  /** Nothing of them is left in this window, also of an answer under way: the next call asks again. */
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
