/** Resolves when the browser has nothing more urgent to do, within three seconds: for what the first page can wait for. */
export const whenIdle = (): Promise<void> =>
  new Promise((ready) => {
    if ('requestIdleCallback' in window) requestIdleCallback(() => ready(), { timeout: 3000 });
    else setTimeout(ready, 1000);
  });
