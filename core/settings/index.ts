/** The settings that are kept. */
export { asTaughtHere } from './as-taught-here';
export {
  AFTER_SIDE,
  DEFAULT_SETTINGS,
  MOVEMENTS,
  Settings,
  planRulesOf,
  readSettings,
  type SecondSide,
} from './settings';
