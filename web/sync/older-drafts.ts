import { newId } from '../client/new-id';
import { vault } from './vault';

/** How earlier versions named what they had not sent: the name with the id in it, and the kind that it has now. */
const OLDER: readonly [name: RegExp, kind: string][] = [
  [/^zovrin\.draft\.([\w-]+)\.[^.]+$/, 'plan'],
  [/^zovrin\.entry\.([\w-]+)\.[^.]+$/, 'entry'],
  [/^zovrin\.(?:person)\.unsent\.([\w-]+)$/, 'person'],
  [/^zovrin\.(?:group)\.unsent\.([\w-]+)$/, 'group'],
  [/^zovrin\.(?:place)\.unsent\.([\w-]+)$/, 'place'],
  [/^zovrin\.(?:journal)\.unsent\.([\w-]+)$/, 'journal'],
  [/^zovrin\.class\.([\w-]+)\.unsent$/, 'class'],
  [/^zovrin\.variants\.([\w-]+)\.unsent$/, 'variants'],
  [/^zovrin\.(house)\.unsent$/, 'settings'],
  [/^zovrin\.said\.([\w-]+)$/, 'review'],
];

/**
 * Returns what earlier versions had not sent the names that drafts have now, as if a window that is gone had left it.
 * What cannot be read now, because people are locked, stays until it can be.
 */
export function renameOlderDrafts(): void {
  for (const name of vault.keys('zovrin.')) {
    for (const [pattern, kind] of OLDER) {
      const id = pattern.exec(name)?.[1];
      const text = id === undefined ? null : vault.read(name);
      if (text === null) continue;
      if (vault.write(`zovrin.draft.${kind}.${id}.before.${newId()}`, text)) vault.remove(name);
      break;
    }
  }
}
