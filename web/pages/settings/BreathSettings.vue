<script setup lang="ts">
import { LOAD_RULES, OFFER_RULES, type BreathLoadRules, type OfferRules } from '#core/breath';
import type { Settings } from '#core/settings';
import FieldGroup from '../../ui/fields/FieldGroup.vue';
import NumberField from '../../ui/fields/NumberField.vue';
import LadderRows from './LadderRows.vue';

/** When a breath practice is pointed out, how it can progress, and the ladder of ratios. */
type Breath = Settings['breath'];
const { breath, accept } = defineProps<{
  breath: Breath;
  accept: (name: string, patch: Partial<Breath>) => string | undefined;
}>();

const setLoad = (patch: Partial<BreathLoadRules>) => accept('change limits', { load: { ...breath.load, ...patch } });
const setGrowth = (patch: Partial<Breath['growth']>) =>
  accept('change growth', { growth: { ...breath.growth, ...patch } });
const setOffer = (patch: Partial<OfferRules>) =>
  accept('change the counts that are offered', { offer: { ...breath.offer, ...patch } });
const percent = (share: number): number => Math.round(share * 1000) / 10;
</script>

<template>
  <FieldGroup title="Please check" says="a practice beyond these is pointed out, never prevented">
    <template #head>
      <button type="button" class="link-button small" @click="setLoad(LOAD_RULES)">Reset to defaults</button>
    </template>
    <div class="fields">
      <NumberField
        label="a hold longer than"
        unit="s (0: no holding)"
        :model-value="breath.load.longestHoldSeconds"
        :accept="(longestHoldSeconds) => setLoad({ longestHoldSeconds })"
      />
      <NumberField
        label="holding more than"
        unit="% of the time"
        :model-value="percent(breath.load.shareHolding)"
        :accept="(share) => setLoad({ shareHolding: share / 100 })"
      />
      <NumberField
        label="breath slower than"
        unit="a minute"
        :step="0.5"
        :model-value="breath.load.slowestRate"
        :accept="(slowestRate) => setLoad({ slowestRate })"
      />
      <NumberField
        label="pumps for more than"
        unit="min"
        :model-value="breath.load.strokesMinutes"
        :accept="(strokesMinutes) => setLoad({ strokesMinutes })"
      />
      <NumberField
        label="pumps faster than"
        unit="a minute"
        :step="5"
        :model-value="breath.load.fastestStrokes"
        :accept="(fastestStrokes) => setLoad({ fastestStrokes })"
      />
    </div>
  </FieldGroup>
  <FieldGroup title="How a breath can progress" says="one part at a time, retentions last; in a week by at most">
    <div class="fields">
      <NumberField
        label="a share of it"
        unit="%"
        :model-value="percent(breath.growth.share)"
        :accept="(share) => setGrowth({ share: share / 100 })"
      />
      <NumberField
        label="or counts, if that is more"
        :model-value="breath.growth.counts"
        :accept="(counts) => setGrowth({ counts })"
      />
    </div>
  </FieldGroup>
  <FieldGroup title="Counts that are offered" says="how near to a person’s easy breath, in per cent of it">
    <template #head>
      <button type="button" class="link-button small" @click="setOffer(OFFER_RULES)">Reset to defaults</button>
    </template>
    <div class="fields">
      <NumberField
        label="a breath no shorter than"
        unit="%"
        :step="5"
        :model-value="breath.offer.shortest"
        :accept="(shortest) => setOffer({ shortest })"
      />
      <NumberField
        label="and no longer than"
        unit="%"
        :step="5"
        :model-value="breath.offer.longest"
        :accept="(longest) => setOffer({ longest })"
      />
      <NumberField
        label="a hold no longer than"
        unit="%"
        :step="5"
        :model-value="breath.offer.hold"
        :accept="(hold) => setOffer({ hold })"
      />
    </div>
  </FieldGroup>
  <LadderRows :ladder="breath.ladder" :accept="(ladder) => accept('change the ladder', { ladder })" />
</template>

<style scoped>
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  padding: 4px 0 8px;
}
</style>
