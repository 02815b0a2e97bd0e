import { z } from 'zod';
import { QUARTERS } from '#core/breath';
import type { Block } from '#core/timeline';
import { milliseconds as Ms } from './units';

const Side = z.enum(['left', 'right', 'both', 'none']);
const block = { stepIndex: z.int(), startMs: Ms, endMs: Ms };

const WaveRound = z.object({
  startMs: Ms,
  quarters: z.array(z.object({ kind: z.enum(QUARTERS), ms: Ms })),
  cycles: z.int(),
});

const PlainBlock = z.object({
  ...block,
  kind: z.enum(['thread', 'rest', 'loosen', 'talk']),
  side: Side.exactOptional(),
});
const BreathBlock = z.discriminatedUnion('kind', [
  z.object({ ...block, side: Side, kind: z.literal('wave'), rounds: z.array(WaveRound) }),
  z.object({ ...block, side: Side, kind: z.literal('ownPace'), cycles: z.int() }),
  z.object({ ...block, side: Side, kind: z.literal('strokes'), count: z.int() }),
  z.object({ ...block, side: Side, kind: z.literal('retention'), held: z.enum(['full', 'empty']) }),
  PlainBlock,
]);

/** What a ribbon is drawn from: the blocks of a timeline, in order. */
export const Ribbon = z.array(
  z.discriminatedUnion('kind', [
    z.object({
      ...block,
      kind: z.literal('hold'),
      side: Side,
      turn: z.int(),
      crossing: z.boolean(),
      enterMs: Ms,
      leaveMs: Ms,
      cutsMs: z.array(Ms),
      longest: z.tuple([Ms, Ms]).readonly(),
      inside: z.array(BreathBlock),
    }),
    ...BreathBlock.options,
  ]),
) satisfies z.ZodType<Block[], Block[]>;
