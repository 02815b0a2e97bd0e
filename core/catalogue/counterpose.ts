import type { Bend, Effect } from './bends';
import type { Position } from './position';
import type { Technique } from './technique';

/** By traits: a fold with load on the spine, a back bend. */
function needsByTraits({ traits }: Pick<Position, 'traits'>): Bend[] {
  return [
    ...(traits.includes('loadedSpinalFold') ? ['fold' as const] : []),
    ...(traits.includes('backBend') ? ['back' as const] : []),
  ];
}

/**
 * By traits: a fold is answered by a back bend or by lying long on back or front; a back bend by a fold, a twist, or a
 * rounded back over deeply bent knees. Our own rule of thumb.
 */
function counterposeByTraits({ traits }: Pick<Position, 'traits'>): Bend[] {
  const has = (trait: Position['traits'][number]): boolean => traits.includes(trait);
  const fold = !has('loadedSpinalFold') && (has('backBend') || has('flatSupine') || has('prone'));
  const rounded = has('loadedSpinalFold') || has('twist') || (has('deepKneeBend') && has('prone'));
  return [...(fold ? ['fold' as const] : []), ...(rounded && !has('backBend') ? ['back' as const] : [])];
}

/** What a position asks a counterpose for, as its entry says; by its traits, where it says nothing. */
export const needsCounterpose = (entry: Pick<Position, 'traits' | 'needsCounterpose'>): readonly Bend[] =>
  entry.needsCounterpose ?? needsByTraits(entry);

/** What a position is a counterpose for, as its entry says; by its traits, where it says nothing. */
export const counterposeFor = (entry: Pick<Position, 'traits' | 'counterposeFor'>): readonly Bend[] =>
  entry.counterposeFor ?? counterposeByTraits(entry);

/** Whether a breath rouses or quiets, as its entry says; pumps and a fast breath rouse, where it says nothing. */
export const effectOf = ({ traits, effect }: Pick<Technique, 'traits' | 'effect'>): Effect | null =>
  effect ?? (traits.includes('strokes') || traits.includes('fast') ? 'rousing' : null);
