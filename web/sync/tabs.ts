import { newId } from '../client/new-id';

const NAME = 'zovrin.tab';
const lockName = (tab: string): string => `zovrin.tab.${tab}`;

let mine: Promise<string> | undefined;

/** Holds a lock for as long as this page lives. Returns whether the lock was free. */
function hold(name: string): Promise<boolean> {
  return new Promise((taken) => {
    void navigator.locks.request(name, { ifAvailable: true }, (lock) => {
      taken(lock !== null);
      return lock ? new Promise(() => undefined) : undefined;
    });
  });
}

async function claim(): Promise<string> {
  const before = sessionStorage.getItem(NAME);
  // A reloaded tab keeps its name; a duplicated one finds it taken and gets its own.
  const name = before && (await hold(lockName(before))) ? before : newId();
  if (name !== before) await hold(lockName(name));
  sessionStorage.setItem(NAME, name);
  return name;
}

/** The name of this tab, the same after a reload, different in every other tab. */
export const tabName = (): Promise<string> => (mine ??= claim());

/** The names of all tabs that are open now. */
export async function openTabs(): Promise<Set<string>> {
  const { held = [] } = await navigator.locks.query();
  const prefix = lockName('');
  return new Set(held.flatMap(({ name }) => (name?.startsWith(prefix) ? [name.slice(prefix.length)] : [])));
}
