<script setup lang="ts">
import { computed } from 'vue';
import { materialOf } from '#core/body';
import { isCustomKind, sizeOfPiece, type Sized } from '#core/props';

/** A prop seen from its end as it lies, all of them at one scale; a wide fold is cut off at the sides. */
const {
  piece,
  scale = 0.9,
  px = 40,
} = defineProps<{
  piece: Sized & { size?: { shape?: string } | undefined };
  /** Units of the drawing (40 across) to a centimetre. */
  scale?: number;
  /** How wide it is shown. */
  px?: number;
}>();

const WIDE = 40;
const HIGH = 22;
const ROUND: ReadonlySet<string> = new Set(['roundBolster whole', 'blanket rolled', 'towel rolled', 'stick whole']);
const FOLDS: Readonly<Record<string, number>> = {
  'blanket basic': 3,
  'blanket longHalf': 4,
  'blanket longThirds': 5,
  'blanket quarter': 4,
};
const name = computed(() => `${piece.kind} ${piece.state}`);
const shape = computed(() => {
  const size = sizeOfPiece(piece);
  if (!size || size.heightCm === 0) return undefined;
  const high = Math.min(HIGH, Math.max(1.6, size.heightCm * scale));
  const wide = Math.min(WIDE, Math.max(3, size.depthCm * scale));
  const round = ROUND.has(name.value) || piece.size?.shape === 'roll';
  const soft = isCustomKind(piece.kind) ? 0.1 : size.giveCm > 0 ? 0.42 : 0.06;
  return {
    x: (WIDE - wide) / 2,
    y: HIGH - high,
    wide,
    high,
    corner: round ? high / 2 : Math.min(high, wide) * soft,
    lines: Array.from(
      { length: FOLDS[name.value] ?? 0 },
      (_, i, count = FOLDS[name.value] ?? 1) => HIGH - (high * (i + 1)) / (count + 1),
    ),
  };
});
const material = computed(() => materialOf(piece.kind));
</script>

<template>
  <svg
    class="prop-glyph"
    :width="px"
    :height="(px * (HIGH + 1)) / WIDE"
    :viewBox="`0 0 ${WIDE} ${HIGH + 1}`"
    aria-hidden="true"
  >
    <path v-if="piece.kind === 'wall'" :d="`M${WIDE / 2 + 4} 0v${HIGH}`" class="wall" />
    <g v-else-if="piece.kind === 'chair'" class="chair">
      <path v-if="piece.state === 'sideways'" d="M11 22V10H29V22" />
      <path v-else d="M12 1V22M12 11H28V22" />
    </g>
    <path v-else-if="piece.kind === 'strap' && piece.state === 'loop'" d="M20 5a12 7.5 0 1 1 -.1 0" class="band" />
    <template v-else-if="shape">
      <rect
        :x="shape.x"
        :y="shape.y"
        :width="shape.wide"
        :height="shape.high"
        :rx="shape.corner"
        :fill="`var(--p-${material})`"
        :stroke="`var(--p-${material}-e)`"
      />
      <path
        v-for="y in shape.lines"
        :key="y"
        :d="`M${shape.x + 2} ${y}h${shape.wide - 4}`"
        :stroke="`var(--p-${material}-e)`"
      />
    </template>
    <path :d="`M0 ${HIGH + 0.5}H${WIDE}`" class="ground" />
  </svg>
</template>

<style scoped>
.prop-glyph {
  flex: none;
  overflow: visible;
}
path {
  fill: none;
}
.ground {
  stroke: var(--line-strong);
}
.wall {
  stroke: var(--ink-2);
  stroke-width: 3;
}
.chair path {
  stroke: var(--p-chair-e);
  stroke-width: 2.4;
}
.band {
  stroke: var(--p-strap-e);
  stroke-width: 2.4;
}
</style>
