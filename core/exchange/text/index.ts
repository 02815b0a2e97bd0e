export { positionText, techniqueText } from './entry';
export { personText } from './person';
export { placeText, stockTable } from './place';
export { sessionTable, sessionText } from './session';
