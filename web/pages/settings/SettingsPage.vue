<script setup lang="ts">
import { LOAD_RULES, type BreathLoadRules } from '#core/breath';
import type { Settings, SecondSide } from '#core/settings';
import ChoiceField from '../../ui/fields/ChoiceField.vue';
import FieldGroup from '../../ui/fields/FieldGroup.vue';
import NumberField from '../../ui/fields/NumberField.vue';
import IconButton from '../../ui/IconButton.vue';
import DocumentStatus from '../../widgets/documents/DocumentStatus.vue';
import { useUndoKeys } from '../../ui/use-undo-keys';
import { useSettings } from '../../state/settings';
import LadderRows from './LadderRows.vue';
import LockFields from './LockFields.vue';

/** The settings: what is worth checking, how a breath may grow, and the ladder of ratios. */
const settings = useSettings();
void settings.ready();

const put = (name: string, patch: Partial<Settings['breath']>): string | undefined =>
  settings.change(name, { ...settings.current, breath: { ...settings.current.breath, ...patch } });
const setLoad = (patch: Partial<BreathLoadRules>) =>
  put('change limits', { load: { ...settings.current.breath.load, ...patch } });
const setGrowth = (patch: Partial<Settings['breath']['growth']>) =>
  put('change growth', { growth: { ...settings.current.breath.growth, ...patch } });
const SECOND_SIDES: readonly { value: SecondSide; label: string }[] = [
  { value: 'always', label: 'by itself' },
  { value: 'ask', label: 'when I say' },
  { value: 'never', label: 'never' },
];
const setSecondSide = (secondSide: SecondSide) =>
  settings.change('second side', { ...settings.current, teach: { ...settings.current.teach, secondSide } });
const percent = (share: number): number => Math.round(share * 1000) / 10;

useUndoKeys(settings.undo, settings.redo);
</script>

<template>
  <main class="room">
    <header>
      <h1>House rules</h1>
      <span class="small quiet" role="status">{{ settings.isSaving ? 'Saving' : '' }}</span>
      <IconButton icon="undo" label="Undo" hint="Undo (Ctrl Z)" :disabled="!settings.canUndo" @click="settings.undo" />
      <IconButton
        icon="redo"
        label="Redo"
        hint="Redo (Ctrl Shift Z)"
        :disabled="!settings.canRedo"
        @click="settings.redo"
      />
    </header>
    <DocumentStatus
      noun="set of rules"
      :trouble="settings.trouble"
      :conflict="settings.conflict"
      :resolve="settings.resolve"
      @save="settings.save"
    />
    <FieldGroup title="Worth a second look" says="a practice beyond these is pointed out, never forbidden">
      <template #head>
        <button type="button" class="link-button small" @click="setLoad(LOAD_RULES)">As usual</button>
      </template>
      <div class="fields">
        <NumberField
          label="a hold longer than"
          unit="s"
          :model-value="settings.current.breath.load.longestHoldSeconds"
          :accept="(longestHoldSeconds) => setLoad({ longestHoldSeconds })"
        />
        <NumberField
          label="holding more than"
          unit="% of the time"
          :model-value="percent(settings.current.breath.load.shareHolding)"
          :accept="(share) => setLoad({ shareHolding: share / 100 })"
        />
        <NumberField
          label="breath slower than"
          unit="a minute"
          :step="0.5"
          :model-value="settings.current.breath.load.slowestRate"
          :accept="(slowestRate) => setLoad({ slowestRate })"
        />
        <NumberField
          label="strokes for more than"
          unit="min"
          :model-value="settings.current.breath.load.strokesMinutes"
          :accept="(strokesMinutes) => setLoad({ strokesMinutes })"
        />
        <NumberField
          label="strokes faster than"
          unit="a minute"
          :step="5"
          :model-value="settings.current.breath.load.fastestStrokes"
          :accept="(fastestStrokes) => setLoad({ fastestStrokes })"
        />
      </div>
    </FieldGroup>
    <FieldGroup title="How a breath may grow" says="one part at a time, the holds last; in a week by at most">
      <div class="fields">
        <NumberField
          label="a share of it"
          unit="%"
          :model-value="percent(settings.current.breath.growth.share)"
          :accept="(share) => setGrowth({ share: share / 100 })"
        />
        <NumberField
          label="or counts, if that is more"
          :model-value="settings.current.breath.growth.counts"
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
            :model-value="settings.current.teach.secondSide"
            @update:model-value="setSecondSide"
          />
        </span>
      </div>
    </FieldGroup>
    <LockFields />
    <LadderRows :ladder="settings.current.breath.ladder" :accept="(ladder) => put('change the ladder', { ladder })" />
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
