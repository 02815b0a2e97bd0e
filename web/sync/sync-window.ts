import { openDrafts, type Drafts } from './drafts';
import { undoStore, type UndoStore } from './undo-store';

/** What windows tell each other about a document. */
export type News = 'saved' | 'forgotten';

/** Tells the other windows of this browser what became of a document, and hears it from them. */
interface Channel {
  post(news: News): void;
  listen(heard: (news: News) => void): void;
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
    post: (news) => channel.postMessage(news),
    // An earlier version of the page tells the revision it has saved.
    listen: (heard) => (channel.onmessage = ({ data }) => heard(data === 'forgotten' ? data : 'saved')),
    close: () => channel.close(),
  };
}

/** This window, with what the browser keeps for it. */
export const browserWindow: SyncWindow = { drafts: openDrafts, undo: undoStore, channel: broadcastChannel };
