/** People who are taught, what is known of their breath, and what to keep in mind for them. */
export {
  ASKS,
  initials,
  KeptInMind,
  newPerson,
  PERSON_FORMAT,
  PERSON_VERSION,
  Person,
  readPerson,
  type Ask,
} from './person';
