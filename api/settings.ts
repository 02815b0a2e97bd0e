import { DEFAULT_SETTINGS, readSettings, Settings } from '#core/settings';
import { onlyResourceOf } from './documents';

/** The settings: what is offered, how it may grow, and what is worth a check. There is one document of them. */
export const SETTINGS = onlyResourceOf<Settings>({
  noun: 'set of settings',
  path: '/settings',
  document: Settings,
  read: readSettings,
  initial: DEFAULT_SETTINGS,
});
