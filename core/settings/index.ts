/** The rules of a house that are kept. */
export {
  DEFAULT_SETTINGS,
  SETTINGS_FORMAT,
  SETTINGS_VERSION,
  Settings,
  readSettings,
  SECOND_SIDE,
  type SecondSide,
} from './settings';
