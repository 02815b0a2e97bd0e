import { CalendarFeed } from '#api';
import { ask, tell } from './http';

/** The private address under which calendars read the classes, where there is one. */
export const readFeed = () => ask(CalendarFeed, 'GET', '/calendar-feed');
/** Makes such an address, or a new one in place of the old. */
export const renewFeed = () => ask(CalendarFeed, 'POST', '/calendar-feed');
/** From now on there is none. */
export const endFeed = () => tell('DELETE', '/calendar-feed');
