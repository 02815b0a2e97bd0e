import type { FixedSegment, SpokenEntry } from '#core/exchange';
import type { CaptionsRead, CaptionsReader } from '../workers/captions';
import { keptThread, plain } from './thread';

const ask = keptThread<CaptionsReader>(
  () => new Worker(new URL('../workers/captions.ts', import.meta.url), { type: 'module' }),
  'The thread that reads captions has failed.',
);

/** Reads captions in a thread of its own, around what is fixed. Rejects if the thread fails. */
export const readCaptions = (
  text: string,
  entries: readonly SpokenEntry[],
  fixed: readonly FixedSegment[],
): Promise<CaptionsRead> =>
  ask((reader) => reader.read(text, plain(entries) as SpokenEntry[], plain(fixed) as FixedSegment[]));
