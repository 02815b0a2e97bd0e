/** The settings that are kept. */
export { DEFAULT_SETTINGS, Settings, readSettings, type SecondSide } from './settings';
