import { defineStore } from 'pinia';
import { DEFAULT_SETTINGS, readSettings, type Settings } from '#core/settings';
import { settingsClient } from '../client/documents';
import { sourceOf } from '../sync/source';
import { syncedDocument } from '../sync/synced-document';

/** The settings of this Zovrin. Until they are here, the usual ones count. */
export const useSettings = defineStore('settings', () => {
  const { document: current, ...synced } = syncedDocument<Settings, Settings>({
    ...sourceOf('settings.house', readSettings, settingsClient),
    initial: DEFAULT_SETTINGS,
  });
  return { current, ...synced };
});
