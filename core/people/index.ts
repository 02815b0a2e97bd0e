/** People: students, what was measured and recorded of them, and their groups. */
export {
  STEP_TRAITS,
  DatedNote,
  daysToCome,
  KeptInMind,
  newPerson,
  Person,
  readPerson,
  type StepTrait,
} from './person';
export { IN_WORDS, PersonCondition, personCondition } from './person-condition';
export { Group, MAX_MEMBERS, newGroup, readGroup } from './group';
export { initials, initialsOf, namesake } from './names';
export {
  countedFrom,
  Day,
  daysLater,
  monthsBetween,
  MAX_WEEKS,
  pastDayRefusal,
  weeksBetween,
  weeksRefusal,
} from './dates';
export { personFile, type PersonFile, PERSON_FILE_FORMAT, readPersonFile, type AttendedClass } from './file';
