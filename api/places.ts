import { Place, readPlace } from '#core/cupboard';
import { resourceOf, type StoredDocument } from './documents';

/** Places with their cupboards. */
export const PLACES = resourceOf<Place>({ noun: 'place', path: '/places', document: Place, read: readPlace });
export type StoredPlace = StoredDocument<Place>;
