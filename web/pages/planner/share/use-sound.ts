import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue';
import { SAMPLES_A_MS, soundsOf, type WantedSounds } from '#core/exchange';
import type { Timeline } from '#core/timeline';
import { makeSoundFile, type SoundUnderWay } from '../../../client/sound-thread';
import { useDeviceSettings } from '../../../state/device-settings';
import { clipsOf } from '../../../widgets/sound/clips';

export type SoundFormat = 'ogg' | 'wav';
/** A file that is not compressed is large: 6 MB a minute. */
const LONGEST_WAV_MS = 15 * 60_000;
const TYPES: Readonly<Record<SoundFormat, string>> = { ogg: 'audio/ogg', wav: 'audio/wav' };

/** Whether this browser can write compressed sound. */
const canCompress = async (): Promise<boolean> => {
  if (typeof AudioEncoder === 'undefined') return false;
  const config = { codec: 'opus', sampleRate: 48_000, numberOfChannels: 1 };
  return AudioEncoder.isConfigSupported(config).then(
    ({ supported }) => supported === true,
    () => false,
  );
};

/** A sound file of the bells, tones and counts of a plan: made when it is asked for, and dropped when the plan changes. */
export function useSound(timeline: () => Timeline | undefined) {
  const device = useDeviceSettings();
  const wanted = ref<WantedSounds>({ bells: true, tones: true, counts: false });
  const format = ref<SoundFormat>('ogg');
  const file = shallowRef<Blob>();
  const address = ref('');
  const progress = ref<number>();
  const trouble = ref('');
  let underWay: SoundUnderWay | undefined;
  let turn = 0;

  const events = computed(() => {
    const now = timeline();
    return now ? soundsOf(now, wanted.value) : [];
  });
  const counted = computed(() => {
    const bells = events.value.filter(({ sound }) => sound.kind === 'bell').length;
    const counts = events.value.filter(({ sound }) => sound.kind === 'tone' && sound.tone === 'count').length;
    return { bells, counts, tones: events.value.length - bells - counts };
  });
  const tooLong = computed(() => format.value === 'wav' && (timeline()?.totals.totalMs ?? 0) > LONGEST_WAV_MS);

  function drop(): void {
    turn++;
    underWay?.cancel();
    underWay = undefined;
    if (address.value !== '') URL.revokeObjectURL(address.value);
    [file.value, address.value, progress.value, trouble.value] = [undefined, '', undefined, ''];
  }

  async function make(): Promise<void> {
    drop();
    const now = timeline();
    if (!now || events.value.length === 0) return;
    const mine = turn;
    progress.value = 0;
    try {
      if (format.value === 'ogg' && !(await canCompress()))
        throw new Error('This browser cannot write compressed sound. Choose WAV, or another browser.');
      const { clips, sounds, endSample } = await clipsOf(events.value, device.bellSound);
      if (mine !== turn) return;
      const totalSamples = Math.max(endSample, now.totals.totalMs * SAMPLES_A_MS);
      underWay = makeSoundFile({ format: format.value, clips, sounds, totalSamples }, (share) => {
        if (mine === turn) progress.value = share;
      });
      const bytes = await underWay.bytes;
      if (mine !== turn) return;
      file.value = new Blob([bytes], { type: TYPES[format.value] });
      address.value = URL.createObjectURL(file.value);
    } catch (error) {
      if (mine === turn) trouble.value = (error as Error).message;
    } finally {
      if (mine === turn) progress.value = undefined;
    }
  }
  // What was made is no longer of this plan, or not what is wanted any more.
  watch([timeline, wanted, format, () => device.bellSound], drop, { deep: true });
  onScopeDispose(drop);

  return { wanted, format, file, address, progress, trouble, counted, tooLong, make, cancel: drop };
}
