import { openDrafts, type Drafts } from './drafts';
import { undoStore, type UndoStore } from './undo-store';

/** Says to the other windows of this browser that something was saved, and hears it from them. */
interface Channel {
  post(revision: number): void;
  listen(heard: () => void): void;
  close(): void;
}

/** What a synced document asks of the window that it is opened in. */
export interface SyncWindow {
  drafts(): Promise<Drafts>;
  undo<T extends object>(key: string, read: (value: unknown) => T | undefined): UndoStore<T>;
  channel(name: string): Channel;
}

function broadcastChannel(name: string): Channel {
  const channel = new BroadcastChannel(name);
  return {
    post: (revision) => channel.postMessage(revision),
    listen: (heard) => (channel.onmessage = () => heard()),
    close: () => channel.close(),
  };
}

/** This window, with what the browser keeps for it. */
export const browserWindow: SyncWindow = { drafts: openDrafts, undo: undoStore, channel: broadcastChannel };
