import { proxy, transfer } from 'comlink';
import type { SoundMaker, ToEncode } from '../workers/sound';
import { threadOf } from './thread';

/** A sound file that is being made. */
export interface SoundUnderWay {
  bytes: Promise<ArrayBuffer>;
  /** Ends it: nothing comes of it then. */
  cancel: () => void;
}

/**
 * Makes a sound file in a thread of its own. `report` gets how much is done, from 0 to 1, until the file is there: its
 * messages come by a way of their own, and some only after the file.
 */
export function makeSoundFile(wanted: ToEncode, report: (share: number) => void): SoundUnderWay {
  const worker = new Worker(new URL('../workers/sound.ts', import.meta.url), { type: 'module' });
  const { remote, failed, stop } = threadOf<SoundMaker>(worker, 'The thread that makes sound files has failed.');
  const buffers = wanted.clips.map(({ buffer }) => buffer);
  let hasEnded = false;
  const end = (): void => {
    hasEnded = true;
    stop();
  };
  const made = remote.make(
    transfer(wanted, buffers),
    proxy((share: number) => {
      if (!hasEnded) report(share);
    }),
  );
  return { bytes: Promise.race([made, failed]).finally(end), cancel: end };
}
