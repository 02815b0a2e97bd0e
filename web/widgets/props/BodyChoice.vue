<script setup lang="ts">
import { computed } from 'vue';
import { ORDINARY, STIFF, SUPPLE, REFERENCE_HEIGHT_CM, type Flexibility } from '#core/body';
import { useDeviceSettings } from '../../state/device-settings';
import { usePeople } from '../../state/people';
import { useScreening } from '../../state/screening';
import BodySliders from './BodySliders.vue';
import { heightInWords } from '../../ui/lengths';
import FoldedPart from '../../ui/FoldedPart.vue';

/** For which body heights are measured and the figure is drawn: its height, and how far it folds and opens. */
const settings = useDeviceSettings();
const people = usePeople();
const screening = useScreening();
const KNOWN: readonly { label: string; flexibility: Flexibility }[] = [
  { label: 'stiff', flexibility: STIFF },
  { label: 'average flexibility', flexibility: ORDINARY },
  { label: 'supple', flexibility: SUPPLE },
];
const same = (a: Flexibility, b: Flexibility): boolean =>
  a.hipFold === b.hipFold && a.kneeOpening === b.kneeOpening && a.shoulder === b.shoulder;
/** Those who come and were measured: the figure can be drawn for each of them. */
const bodies = computed(() =>
  screening.members.flatMap(({ id, person: { statureCm, flexibility } }) =>
    statureCm === null && flexibility === null
      ? []
      : [
          {
            id,
            name: people.shown(id),
            body: { statureCm: statureCm ?? REFERENCE_HEIGHT_CM, flexibility: flexibility ?? ORDINARY },
          },
        ],
  ),
);
const summary = computed(() => {
  const { statureCm, flexibility } = settings.body;
  const known = KNOWN.find((one) => same(one.flexibility, flexibility));
  return `${heightInWords(statureCm)}, ${known?.label ?? 'as set'}`;
});
</script>

<template>
  <FoldedPart class="small" :title="`for a body of ${summary}`">
    <p class="known">
      <button
        v-for="{ label, flexibility } in KNOWN"
        :key="label"
        type="button"
        class="link-button small"
        :aria-pressed="same(flexibility, settings.body.flexibility)"
        @click="settings.body = { ...settings.body, flexibility }"
      >
        {{ label }}
      </button>
    </p>
    <p v-if="bodies.length > 0" class="known">
      <button
        v-for="one in bodies"
        :key="one.id"
        type="button"
        class="link-button small"
        :aria-pressed="
          settings.body.statureCm === one.body.statureCm && same(one.body.flexibility, settings.body.flexibility)
        "
        @click="settings.body = one.body"
      >
        {{ one.name }}
      </button>
    </p>
    <BodySliders
      :stature-cm="settings.body.statureCm"
      :flexibility="settings.body.flexibility"
      @update:stature-cm="settings.body = { ...settings.body, statureCm: $event }"
      @update:flexibility="settings.body = { ...settings.body, flexibility: $event }"
    />
  </FoldedPart>
</template>

<style scoped>
.known {
  display: flex;
  gap: 14px;
}
[aria-pressed='true'] {
  text-decoration: underline;
}
</style>
