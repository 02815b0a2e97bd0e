/** The settings that are kept. */
export { asTaughtHere, type UsualSentences } from './as-taught-here';
export { DEFAULT_SETTINGS, Settings, planRulesOf, readSettings, type BodyMap, type SecondSide } from './settings';
