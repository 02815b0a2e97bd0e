import type { Moment } from '#core/catalogue';
import { PROP_KINDS, type KnownKind, type PropPlace, type SetUpRow } from '#core/props';

type Look = Partial<Pick<SetUpRow, 'state' | 'lie' | 'side' | 'count' | 'mirror' | 'optional' | 'why'>>;

/** A row of a set-up with its usual values: the first state of its kind, lengthwise, in the middle, one piece. */
export function row(kind: KnownKind, place: PropPlace, look: Look = {}): SetUpRow {
  return {
    id: `${kind}-${place}`,
    kind,
    place,
    state: Object.keys(PROP_KINDS[kind].states)[0] ?? '',
    lie: 'lengthwise',
    side: 'centre',
    count: 1,
    mirror: true,
    optional: false,
    why: '',
    ...look,
  };
}

export const half: Moment = { kind: 'half' };
export const after = (seconds: number): Moment => ({ kind: 'after', seconds });
export const beforeEnd = (seconds: number): Moment => ({ kind: 'beforeEnd', seconds });
