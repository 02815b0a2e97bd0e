export { positionText, techniqueText } from './entry';
export { personText } from './person';
export { courseTable, courseText, hoursTable, type ClassLine } from './course';
export { placeText, stockTable } from './place';
export { sessionTable, sessionText } from './session';
