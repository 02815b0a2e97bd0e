<script setup lang="ts">
import { computed, shallowRef, watch } from 'vue';
import type { Position } from '#core/catalogue';
import { HEIGHT_RULES, judgeHeight, type SuggestedHeight } from '#core/heights';
import {
  freeFor,
  isStacked,
  pieceCount,
  propKind,
  propState,
  stackFor,
  type Available,
  type PropKind,
  type SetUp,
  type SetUpRow,
  type Stack,
} from '#core/props';
import { askSuggestedHeight } from '../figures/figures';
import { usePlaces } from '../../state/places';
import { useDeviceSettings } from '../../state/device-settings';
import { lengthInWords, lengthsInWords, withLengths } from '../../ui/lengths';

/** How high what lies at a place should be for the chosen body, and stacks that come to it; one press takes one. */
const { position, setUp, row, atHand } = defineProps<{
  position: Position;
  setUp: SetUp;
  row: SetUpRow;
  /** What one person can have of each kind; undefined if no place is chosen. */
  atHand: Available | undefined;
}>();
const emit = defineEmits<{ take: [Stack] }>();

/** What an ordinary studio has for each person. */
const ORDINARY_EACH: Available = {
  flatBolster: 1,
  roundBolster: 1,
  block: 4,
  blanket: 4,
  cushion: 2,
  pillow: 1,
  halfMoon: 1,
  towel: 2,
};
const MOST = 3;
/** As near as this is right. */
const NEAR_CM = 0.5;

const settings = useDeviceSettings();
const places = usePlaces();
const high = shallowRef<SuggestedHeight>();
const state = shallowRef<'asking' | 'known' | 'unknown' | 'trouble'>('asking');
let request = 0;
watch(
  () => [position, setUp, row.place, row.side, settings.body] as const,
  async ([of, items, place, side, body]) => {
    const mine = ++request;
    state.value = 'asking';
    try {
      const found = await askSuggestedHeight(of, items, place, side === 'each' ? 'left' : side, body);
      if (mine !== request) return;
      [high.value, state.value] = [found, found ? 'known' : 'unknown'];
    } catch {
      if (mine === request) state.value = 'trouble';
    }
  },
  { immediate: true },
);

const free = computed(() => freeFor(setUp, row, atHand ?? ORDINARY_EACH));
const stacks = computed(() => {
  if (!high.value || high.value.highCm === 0) return [];
  const { lowCm, highCm } = high.value;
  return stackFor((lowCm + highCm) / 2, (highCm - lowCm) / 2 + NEAR_CM, free.value, MOST, places.ownKinds);
});
const range = computed(() => {
  if (!high.value) return '';
  const { lowCm, highCm } = high.value;
  if (highCm === 0) return 'Nothing is needed here';
  return lowCm < 0.5 ? `up to ${lengthInWords(highCm)}` : lengthsInWords(lowCm, highCm);
});
const judgement = computed(() => high.value && judgeHeight(high.value));
const judged = computed(() => {
  if (!high.value || !judgement.value) return '';
  const { fit, byCm, says } = judgement.value;
  const shown = `now ${lengthInWords(Math.round(high.value.nowCm))}`;
  const by = lengthInWords(Math.max(1, Math.round(byCm)));
  switch (fit) {
    case 'right':
      return `${shown}, right`;
    case 'tooLow':
      return `${shown}, ${by} too low`;
    case 'tooHigh':
      return `${shown}, ${by} too high`;
    case 'higherServes':
      return `${shown}, ${by} higher: ${says}`;
    case 'lowerServes':
      return `${shown}, ${by} lower: ${says}`;
  }
});
const isWrong = computed(() => judgement.value?.fit.startsWith('too') ?? false);
function stackInWords({ pieces, heightCm }: Stack): string {
  const alike: { kind: PropKind; state: string; count: number }[] = [];
  for (const { kind, state: fold } of pieces) {
    const last = alike.at(-1);
    if (last?.kind === kind && last.state === fold) last.count++;
    else alike.push({ kind, state: fold, count: 1 });
  }
  const alikeInWords = alike.map(({ kind, state: fold, count }) => {
    const label = Object.keys(propKind(kind).states).length > 1 ? ` ${propState(kind, fold)?.label}` : '';
    return `${count === 1 ? propKind(kind).label : pieceCount(kind, count)}${label}`;
  });
  return `${alikeInWords.join(', then ')}: ${lengthInWords(heightCm)}`;
}
const ruleSays = computed(() => {
  const says = high.value ? HEIGHT_RULES[high.value.rule].says : '';
  return withLengths(says.charAt(0).toUpperCase() + says.slice(1));
});
const canStack = computed(() => isStacked(row.kind));
</script>

<template>
  <div class="how-high small" aria-live="polite">
    <p v-if="state === 'asking'" class="quiet">Measuring the figure…</p>
    <p v-else-if="state === 'trouble'" class="caution">This figure cannot be measured.</p>
    <p v-else-if="state === 'unknown'" class="quiet">There is no suggested height here; go by what is comfortable.</p>
    <template v-else-if="high">
      <p>
        <strong>{{ range }}</strong>
        <template v-if="high.highCm > 0"> under the body’s weight; </template><template v-else>; </template>
        <span :class="{ caution: isWrong, strong: isWrong }">{{ judged }}</span>.
        <span class="quiet">{{ ruleSays }}.</span>
      </p>
      <ul v-if="canStack">
        <li v-for="stack in stacks" :key="stackInWords(stack)">
          <button type="button" class="link-button small" @click="emit('take', stack)">
            {{ stackInWords(stack) }}
          </button>
        </li>
        <li v-if="stacks.length === 0 && high.highCm > 0" class="quiet">
          Nothing {{ atHand ? 'each person can have here' : 'ordinary' }} stacks to that height.
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.how-high {
  padding: 2px 0 6px;
}
.link-button {
  padding: 2px 0;
  text-align: left;
}
</style>
