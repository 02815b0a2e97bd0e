/** People who are taught, and what is known of their breath. */
export { newPerson, PERSON_FORMAT, PERSON_VERSION, Person, readPerson } from './person';
