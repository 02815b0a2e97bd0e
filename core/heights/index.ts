/** Heights: how high what lies at a place should be for a body, by the rules teachers use, in numbers. */
export { HEIGHT_RULES } from './rules';
export { judgeHeight } from './judge-height';
export { suggestedHeight, MEASURED_PLACES, type ForWhom, type SuggestedHeight } from './suggested-height';
