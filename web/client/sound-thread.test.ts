import { afterEach, expect, test } from '@jest/globals';
import { fakeWorkers } from '../../tests/support/fake-worker';
import type { ToEncode } from '../workers/sound';
import { makeSoundFile } from './sound-thread';

/** Made anew every time: what is handed over to a thread is gone here. */
const wanted = (): ToEncode => ({
  format: 'wav',
  clips: [new Float32Array(960)],
  sounds: [{ clip: 0, at: 0 }],
  totalSamples: 960,
});
type Report = (share: number) => Promise<void>;

let restore: () => void = () => undefined;
afterEach(() => restore());

/** A thread that writes one byte when `written` lets it, and keeps hold of the report of its progress. */
function threadThatReports(written: Promise<void>): { report: Report | undefined; isEnded: boolean } {
  const thread: { report: Report | undefined; isEnded: boolean } = { report: undefined, isEnded: false };
  restore = fakeWorkers(() => ({
    answers: {
      make: async (_: ToEncode, report: Report) => {
        thread.report = report;
        await report(0.5);
        await written;
        return new ArrayBuffer(1);
      },
    },
    ended: () => (thread.isEnded = true),
  }));
  return thread;
}

test('the progress of a sound file is reported until the file is there, and never after', async () => {
  const thread = threadThatReports(Promise.resolve());
  const reported: number[] = [];
  const { bytes } = makeSoundFile(wanted(), (share) => reported.push(share));
  expect((await bytes).byteLength).toBe(1);
  expect(thread.isEnded).toBe(true);
  expect(reported).toEqual([0.5]);
  // Progress and the file come by different ways: on a busy machine the last of the progress comes after the file.
  await thread.report?.(0.99);
  expect(reported).toEqual([0.5]);
});

test('nothing more is reported of a sound file that was cancelled', async () => {
  const thread = threadThatReports(new Promise(() => undefined));
  const reported: number[] = [];
  const begun = new Promise<() => void>((resolve) => {
    const { cancel } = makeSoundFile(wanted(), (share) => {
      reported.push(share);
      resolve(cancel);
    });
  });
  (await begun)();
  expect(thread.isEnded).toBe(true);
  await thread.report?.(0.99);
  expect(reported).toEqual([0.5]);
});
