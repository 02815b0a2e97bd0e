import { expose, transfer } from 'comlink';
import {
  BufferTarget,
  EncodedAudioPacketSource,
  EncodedPacket,
  OggOutputFormat,
  Output,
  WavOutputFormat,
  type AudioCodec,
} from 'mediabunny';
import { mixed, SAMPLES_A_MS, stretchesOf } from '#core/exchange';

const SAMPLE_RATE = SAMPLES_A_MS * 1000;
/** A packet of the encoder: 20 ms. */
const PACKET_SAMPLES = 960;
const PACKET_SECONDS = PACKET_SAMPLES / SAMPLE_RATE;
const BITS_A_SECOND = 32_000;
/** Progress is reported after so many packets: half a minute of sound. */
const REPORT_AFTER = 1500;

/** What a sound file is made of: clips, and the sample each begins at. */
export interface ToEncode {
  format: 'ogg' | 'wav';
  clips: Float32Array[];
  sounds: { clip: number; at: number }[];
  totalSamples: number;
}

/** Packets of an encoder, and what a decoder needs before the first. */
interface Encoded {
  packets: Uint8Array[];
  meta: EncodedAudioChunkMetadata | undefined;
}

/** As the Opus codec registration of WebCodecs has it; the types know only a part of it. */
interface OpusConfig extends OpusEncoderConfig {
  application: 'audio';
  signal: 'music';
}
const OPUS: OpusConfig = { application: 'audio', signal: 'music', frameDuration: PACKET_SECONDS * 1e6 };
const CONFIG: AudioEncoderConfig = {
  codec: 'opus',
  sampleRate: SAMPLE_RATE,
  numberOfChannels: 1,
  bitrate: BITS_A_SECOND,
  // Bells and tones are no speech: every packet is made the same way, so that those made apart fit together.
  opus: OPUS,
};

/** Encodes samples after a packet of silence; gives as many packets as the samples have. */
async function encoded(samples: Float32Array): Promise<Encoded> {
  const packets: Uint8Array[] = [];
  let meta: EncodedAudioChunkMetadata | undefined;
  const failures: Error[] = [];
  const encoder = new AudioEncoder({
    output: (chunk, itsMeta) => {
      meta ??= itsMeta;
      const bytes = new Uint8Array(chunk.byteLength);
      chunk.copyTo(bytes);
      packets.push(bytes);
    },
    error: (error) => failures.push(error),
  });
  encoder.configure(CONFIG);
  const data = new Float32Array(PACKET_SAMPLES + samples.length);
  data.set(samples, PACKET_SAMPLES);
  const audio = new AudioData({
    format: 'f32',
    sampleRate: SAMPLE_RATE,
    numberOfFrames: data.length,
    numberOfChannels: 1,
    timestamp: 0,
    data,
  });
  encoder.encode(audio);
  audio.close();
  await encoder.flush();
  encoder.close();
  if (failures[0]) throw failures[0];
  return { packets: packets.slice(1, 1 + samples.length / PACKET_SAMPLES), meta };
}

/** Sixteen bits a sample, as they are in a WAV file. */
function inSixteenBits(samples: Float32Array): Uint8Array {
  const view = new DataView(new ArrayBuffer(samples.length * 2));
  for (const [i, sample] of samples.entries()) view.setInt16(i * 2, Math.round(sample * 0x7fff), true);
  return new Uint8Array(view.buffer);
}
const packetsOf = (bytes: Uint8Array): Uint8Array[] =>
  Array.from({ length: bytes.length / (PACKET_SAMPLES * 2) }, (_, i) =>
    bytes.subarray(i * PACKET_SAMPLES * 2, (i + 1) * PACKET_SAMPLES * 2),
  );
const plain = (samples: Float32Array): Promise<Encoded> =>
  Promise.resolve({ packets: packetsOf(inSixteenBits(samples)), meta: PLAIN_META });
const PLAIN_META: EncodedAudioChunkMetadata = {
  decoderConfig: { codec: 'pcm-s16', sampleRate: SAMPLE_RATE, numberOfChannels: 1 },
};

const FORMATS = {
  ogg: { container: () => new OggOutputFormat(), codec: 'opus', encode: encoded },
  wav: { container: () => new WavOutputFormat(), codec: 'pcm-s16', encode: plain },
} as const satisfies Record<ToEncode['format'], { codec: AudioCodec; container: () => unknown; encode: unknown }>;

const soundMaker = {
  /**
   * Writes a sound file: each different stretch is mixed and encoded once, and silence is one packet that is written
   * again and again. `report` gets how much is done, from 0 to 1.
   */
  async make({ format, clips, sounds, totalSamples }: ToEncode, report: (share: number) => void): Promise<ArrayBuffer> {
    const { container, codec, encode } = FORMATS[format];
    const target = new BufferTarget();
    const output = new Output({ format: container(), target });
    const source = new EncodedAudioPacketSource(codec);
    output.addAudioTrack(source);
    await output.start();

    const silence = await encode(new Float32Array(PACKET_SAMPLES * 4));
    const silent = silence.packets.at(-1) ?? new Uint8Array();
    const made = new Map<string, Uint8Array[]>();
    const total = Math.ceil(totalSamples / PACKET_SAMPLES);
    let next = 0;
    const write = async (data: Uint8Array): Promise<void> => {
      const packet = new EncodedPacket(data, 'key', next * PACKET_SECONDS, PACKET_SECONDS);
      await source.add(packet, next === 0 ? silence.meta : undefined);
      next++;
      if (next % REPORT_AFTER === 0) report(Math.min(1, next / total));
    };
    const lengths = clips.map(({ length }) => length);
    for (const stretch of stretchesOf(sounds, lengths, PACKET_SAMPLES)) {
      while (next < stretch.firstPacket) await write(silent);
      const packets = made.get(stretch.key) ?? (await encode(mixed(stretch, clips, PACKET_SAMPLES))).packets;
      made.set(stretch.key, packets);
      for (const data of packets) await write(data);
    }
    while (next < total) await write(silent);
    await output.finalize();
    const { buffer } = target;
    if (!buffer) throw new Error('The sound file was not written.');
    return transfer(buffer, [buffer]);
  },
};
export type SoundMaker = typeof soundMaker;

expose(soundMaker);
