/** The rules of a house that are kept. */
export { DEFAULT_HOUSE, HOUSE_FORMAT, HOUSE_VERSION, House, readHouse } from './house';
