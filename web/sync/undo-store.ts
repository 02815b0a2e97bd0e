import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { MAX_UNDO, type Entry, type History } from '#core/document';
import { newId } from '../client/new-id';
import { openTabs, tabName } from './tabs';
import { vault } from './vault';

/** Where the steps of undo of a document outlive its page. */
export interface UndoStore<T> {
  /** What this window kept of a document, or else a window that is no longer open; undefined if there is nothing. */
  read(): Promise<History<T> | undefined>;
  /** Keeps a history. Only the versions that are new are written. */
  write(history: History<T>): Promise<void>;
  forget(): Promise<void>;
}

/** A step of undo: the id of the version it leads back to, and what led away from it. */
interface Step {
  version: string;
  change: string;
  /** As text, sealed where it is about people. */
  edit?: string;
}
/** The steps of one history, with the ids of the versions that they lead away from. */
interface Head {
  past: Step[];
  now: string;
  future: Step[];
  writtenAt: number;
}
interface UndoDatabase extends DBSchema {
  /** By the document's key and the window's name. */
  heads: { key: string; value: Head };
  /** By the head's key and the version's id; sealed where they are about people. */
  versions: { key: [head: string, version: string]; value: string };
}

const KEPT_FOR_MS = 30 * 24 * 3600 * 1000;
/** How many histories are kept, those that were written last. */
const MAX_KEPT = 40;
let opened: Promise<IDBPDatabase<UndoDatabase>> | undefined;

/** The range of all versions of one head. */
const versionsOf = (head: string): IDBKeyRange => IDBKeyRange.bound([head, ''], [head, '\uffff']);

async function removeOld(database: IDBPDatabase<UndoDatabase>, nowMs: number): Promise<void> {
  const change = database.transaction(['heads', 'versions'], 'readwrite');
  const heads: { key: string; writtenAt: number }[] = [];
  for await (const { key, value } of change.objectStore('heads').iterate()) {
    heads.push({ key, writtenAt: value.writtenAt });
  }
  heads.sort((one, other) => other.writtenAt - one.writtenAt);
  for (const [i, { key, writtenAt }] of heads.entries()) {
    if (i < MAX_KEPT && nowMs - writtenAt < KEPT_FOR_MS) continue;
    await change.objectStore('versions').delete(versionsOf(key));
    await change.objectStore('heads').delete(key);
  }
  await change.done;
}

function openDatabase(): Promise<IDBPDatabase<UndoDatabase>> {
  opened ??= openDB<UndoDatabase>('zovrin', 1, {
    upgrade(database) {
      database.createObjectStore('heads');
      database.createObjectStore('versions');
    },
  }).then(async (database) => {
    await removeOld(database, Date.now());
    return database;
  });
  opened.catch(() => (opened = undefined));
  return opened;
}

/** Undo can wait until what was changed is on the screen; the draft of the document does not. */
const whenUnhurried = (): Promise<void> =>
  new Promise((go) => {
    if ('requestIdleCallback' in globalThis) requestIdleCallback(() => go(), { timeout: 300 });
    else go();
  });

/** Whether something is about people is decided by its name: that of the draft it belongs to. */
const nameOf = (head: string): string => `zovrin.draft.${head}`;

/** Drops what this browser keeps for undo of all documents whose keys begin so. */
export async function forgetUndo(begins: string): Promise<void> {
  const database = await openDatabase();
  const change = database.transaction(['heads', 'versions'], 'readwrite');
  for (const head of await change.objectStore('heads').getAllKeys()) {
    if (!head.startsWith(begins)) continue;
    await change.objectStore('versions').delete(versionsOf(head));
    await change.objectStore('heads').delete(head);
  }
  await change.done;
}

/**
 * The undo of one document in the browser's database. What cannot be kept or read (no database, no room, people locked)
 * is left out: undo then begins with this page.
 */
export function undoStore<T extends object>(key: string, read: (value: unknown) => T | undefined): UndoStore<T> {
  /** The ids of the versions that are written. */
  const ids = new Map<T, string>();
  let writing: Promise<void> = Promise.resolve();
  let latest: History<T> | undefined;
  /** The head of a window that is gone, whose history this one goes on with. */
  let adopted: string | undefined;

  async function ownHead(): Promise<string> {
    return `${key}.${await tabName()}`;
  }

  async function headFrom(database: IDBPDatabase<UndoDatabase>): Promise<string | undefined> {
    const mine = await ownHead();
    const open = await openTabs();
    const heads = await database.getAllKeys('heads', IDBKeyRange.bound(`${key}.`, `${key}.\uffff`));
    if (heads.includes(mine)) return mine;
    const left = heads.filter((head) => !open.has(head.slice(head.lastIndexOf('.') + 1)));
    const times = await Promise.all(left.map(async (head) => (await database.get('heads', head))?.writtenAt ?? 0));
    return left[times.indexOf(Math.max(...times))];
  }

  async function readHistory(): Promise<History<T> | undefined> {
    const database = await openDatabase();
    const from = await headFrom(database);
    const head = from === undefined ? undefined : await database.get('heads', from);
    if (from === undefined || !head) return undefined;
    const versions = new Map<string, T>();
    let newest: unknown;
    for (const id of [head.now, ...head.past.map((one) => one.version), ...head.future.map((one) => one.version)]) {
      const text = vault.unseal(nameOf(from), (await database.get('versions', [from, id])) ?? '');
      const kept = text === null ? undefined : (JSON.parse(text) as { version?: unknown });
      // Those of the same version as the present one, which was read, are as they were written.
      const document = newest !== undefined && kept?.version === newest ? (kept as T) : read(kept);
      newest ??= kept?.version;
      if (document !== undefined) versions.set(id, document);
    }
    const now = versions.get(head.now);
    if (now === undefined) return undefined;
    /** As far as the versions can be read, from the present one on. */
    const entries = (steps: Step[]): Entry<T>[] => {
      const end = steps.findIndex(({ version }) => !versions.has(version));
      return steps.slice(0, end < 0 ? undefined : end).flatMap(({ version: id, change, edit }) => {
        const version = versions.get(id);
        if (version === undefined) return [];
        const text = edit === undefined ? null : vault.unseal(nameOf(from), edit);
        return [{ version, change, ...(text === null ? {} : { edit: JSON.parse(text) as unknown }) }];
      });
    };
    if (from === (await ownHead())) {
      for (const [id, document] of versions) ids.set(document, id);
    } else adopted = from;
    return { past: entries(head.past.toReversed()).reverse(), now, future: entries(head.future), merge: undefined };
  }

  async function writeHistory(history: History<T>): Promise<void> {
    const head = await ownHead();
    const database = await openDatabase();
    const past = history.past.slice(-MAX_UNDO);
    const all = [...past.map(({ version }) => version), history.now, ...history.future.map(({ version }) => version)];
    const idOf = (version: T): string => {
      const id = ids.get(version) ?? newId();
      ids.set(version, id);
      return id;
    };
    const sealed = new Map<string, string>();
    for (const version of all.filter((one) => !ids.has(one))) {
      const text = vault.seal(nameOf(head), JSON.stringify(version));
      if (text === null) return;
      sealed.set(idOf(version), text);
    }
    const kept = new Set(all);
    const gone = [...ids].filter(([version]) => !kept.has(version));
    const step = ({ version, change, edit }: Entry<T>): Step => {
      const text = edit === undefined ? null : vault.seal(nameOf(head), JSON.stringify(edit));
      return { version: idOf(version), change, ...(text === null ? {} : { edit: text }) };
    };
    const change = database.transaction(['heads', 'versions'], 'readwrite');
    for (const [id, text] of sealed) void change.objectStore('versions').put(text, [head, id]);
    for (const [version, id] of gone) {
      ids.delete(version);
      void change.objectStore('versions').delete([head, id]);
    }
    const now = idOf(history.now);
    void change
      .objectStore('heads')
      .put({ past: past.map(step), now, future: history.future.map(step), writtenAt: Date.now() }, head);
    if (adopted !== undefined) {
      void change.objectStore('versions').delete(versionsOf(adopted));
      void change.objectStore('heads').delete(adopted);
    }
    await change.done;
    adopted = undefined;
  }

  return {
    read() {
      const reading = readHistory().catch(() => undefined);
      // What is written meanwhile comes after it.
      writing = reading.then(() => undefined);
      return reading;
    },
    write(history) {
      latest = history;
      writing = writing
        .then(whenUnhurried)
        // One that came meanwhile has all the versions of this one.
        .then(() => (latest === history ? writeHistory(history) : undefined))
        .catch(() => undefined);
      return writing;
    },
    async forget() {
      ids.clear();
      await writing;
      await forgetUndo(`${key}.`).catch(() => undefined);
    },
  };
}
