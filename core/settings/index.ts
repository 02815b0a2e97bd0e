/** The rules of a house that are kept. */
export { DEFAULT_HOUSE, HOUSE_FORMAT, HOUSE_VERSION, House, readHouse, SECOND_SIDE, type SecondSide } from './house';
