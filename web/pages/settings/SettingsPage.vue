<script setup lang="ts">
import { LOAD_RULES, type BreathLoadRules } from '#core/breath';
import type { House, SecondSide } from '#core/settings';
import ChoiceField from '../../ui/fields/ChoiceField.vue';
import FieldGroup from '../../ui/fields/FieldGroup.vue';
import NumberField from '../../ui/fields/NumberField.vue';
import IconButton from '../../ui/IconButton.vue';
import DocumentStatus from '../../widgets/documents/DocumentStatus.vue';
import { useUndoKeys } from '../../ui/use-undo-keys';
import { useHouse } from '../../state/house';
import LadderRows from './LadderRows.vue';
import LockFields from './LockFields.vue';

/** The house rules: what is worth a second look, how a breath may grow, and the ladder of ratios. */
const house = useHouse();
void house.ready();

const put = (name: string, patch: Partial<House['breath']>): string | undefined =>
  house.change(name, { ...house.rules, breath: { ...house.rules.breath, ...patch } });
const setLoad = (patch: Partial<BreathLoadRules>) =>
  put('change limits', { load: { ...house.rules.breath.load, ...patch } });
const setGrowth = (patch: Partial<House['breath']['growth']>) =>
  put('change growth', { growth: { ...house.rules.breath.growth, ...patch } });
const SECOND_SIDES: readonly { value: SecondSide; label: string }[] = [
  { value: 'always', label: 'by itself' },
  { value: 'ask', label: 'when I say' },
  { value: 'never', label: 'never' },
];
const setSecondSide = (secondSide: SecondSide) =>
  house.change('second side', { ...house.rules, teach: { ...house.rules.teach, secondSide } });
const percent = (share: number): number => Math.round(share * 1000) / 10;

useUndoKeys(house.undo, house.redo);
</script>

<template>
  <main class="room">
    <header>
      <h1>House rules</h1>
      <span class="small quiet" role="status">{{ house.saving ? 'Saving' : '' }}</span>
      <IconButton icon="undo" label="Undo" hint="Undo (Ctrl Z)" :disabled="!house.canUndo" @click="house.undo" />
      <IconButton icon="redo" label="Redo" hint="Redo (Ctrl Shift Z)" :disabled="!house.canRedo" @click="house.redo" />
    </header>
    <DocumentStatus
      what="These rules were"
      :trouble="house.trouble"
      :conflict="house.theirs !== undefined"
      @save="house.save"
      @settle="house.settle"
    />
    <FieldGroup title="Worth a second look" says="a practice beyond these is pointed out, never forbidden">
      <template #head>
        <button type="button" class="link-button small" @click="setLoad(LOAD_RULES)">As usual</button>
      </template>
      <div class="fields">
        <NumberField
          label="a hold longer than"
          unit="s"
          :model-value="house.rules.breath.load.longestHoldSeconds"
          :accept="(longestHoldSeconds) => setLoad({ longestHoldSeconds })"
        />
        <NumberField
          label="holding more than"
          unit="% of the time"
          :model-value="percent(house.rules.breath.load.shareHolding)"
          :accept="(share) => setLoad({ shareHolding: share / 100 })"
        />
        <NumberField
          label="breath slower than"
          unit="a minute"
          :step="0.5"
          :model-value="house.rules.breath.load.slowestRate"
          :accept="(slowestRate) => setLoad({ slowestRate })"
        />
        <NumberField
          label="strokes for more than"
          unit="min"
          :model-value="house.rules.breath.load.strokesMinutes"
          :accept="(strokesMinutes) => setLoad({ strokesMinutes })"
        />
        <NumberField
          label="strokes faster than"
          unit="a minute"
          :step="5"
          :model-value="house.rules.breath.load.fastestStrokes"
          :accept="(fastestStrokes) => setLoad({ fastestStrokes })"
        />
      </div>
    </FieldGroup>
    <FieldGroup title="How a breath may grow" says="one part at a time, the holds last; in a week by at most">
      <div class="fields">
        <NumberField
          label="a share of it"
          unit="%"
          :model-value="percent(house.rules.breath.growth.share)"
          :accept="(share) => setGrowth({ share: share / 100 })"
        />
        <NumberField
          label="or counts, if that is more"
          :model-value="house.rules.breath.growth.counts"
          :accept="(counts) => setGrowth({ counts })"
        />
      </div>
    </FieldGroup>
    <FieldGroup title="While teaching" says="when the first side was stretched or cut">
      <div class="fields">
        <span>
          <span class="small quiet">the second side gets the same</span><br />
          <ChoiceField
            label="The second side gets the same"
            :options="SECOND_SIDES"
            :model-value="house.rules.teach.secondSide"
            @update:model-value="setSecondSide"
          />
        </span>
      </div>
    </FieldGroup>
    <LockFields />
    <LadderRows :ladder="house.rules.breath.ladder" :accept="(ladder) => put('change the ladder', { ladder })" />
  </main>
</template>

<style scoped>
.room {
  display: flex;
  flex-direction: column;
  gap: 10px;
  max-width: 860px;
  padding: 18px 32px 40px;
}
header {
  display: flex;
  gap: 6px;
  align-items: center;
}
h1 {
  flex: 1;
  font-size: 27px;
  line-height: 34px;
}
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 26px;
  padding: 4px 0;
}
@media (width < 640px) {
  .room {
    padding: 12px 16px 32px;
  }
}
</style>
