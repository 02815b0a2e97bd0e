<script setup lang="ts">
import Popover from 'primevue/popover';
import ToggleSwitch from 'primevue/toggleswitch';
import { toString } from 'qrcode';
import { ref, shallowRef, useTemplateRef } from 'vue';
import type { AudienceState } from '#api';
import { closeAudience, openAudience, readAudience } from '../../../client/audience';

/** What students see: a window beside this one, or phones on the same network if the teacher allows it. */
const { planId } = defineProps<{ planId: string }>();

const popover = useTemplateRef('popover');
const addresses = ref<string[]>([]);
const allowed = ref(false);
const trouble = ref('');
const code = shallowRef('');

async function show(state: AudienceState): Promise<void> {
  allowed.value = state.open && state.planId === planId;
  addresses.value = allowed.value ? state.addresses : [];
  const [first] = addresses.value;
  code.value = first
    ? `data:image/svg+xml,${encodeURIComponent(await toString(first, { type: 'svg', margin: 2 }))}`
    : '';
}
async function change(to: () => Promise<AudienceState>): Promise<void> {
  try {
    await show(await to());
    trouble.value = '';
  } catch (error) {
    trouble.value = (error as Error).message;
  }
}
const allow = (on: boolean): Promise<void> =>
  change(on ? () => openAudience(planId) : () => closeAudience().then(readAudience));
function toggle(event: Event): void {
  popover.value?.toggle(event);
  void change(readAudience);
}
/** The same session in a window of its own: side, time, figure and breath, for whoever is in the room. */
function openWindow(): void {
  window.open(`/room/${planId}`, `room ${planId}`, 'popup,width=1280,height=800');
}
defineExpose({ toggle });
</script>

<template>
  <Popover ref="popover">
    <div class="room">
      <h3>Student display</h3>
      <button type="button" class="link-button" @click="openWindow">Open a window for a second screen</button>
      <label
        ><ToggleSwitch :model-value="allowed" aria-label="Let phones view" @update:model-value="allow" /> Let phones on
        this network view</label
      >
      <p class="small quiet">
        They see side, time, figure and breath, no notes and no names. The link stops working when the session ends.
      </p>
      <p v-if="trouble" class="caution small" role="alert">{{ trouble }}</p>
      <template v-if="allowed">
        <p v-if="addresses.length === 0" class="caution small" role="alert">
          This computer is not on a network that a phone could reach.
        </p>
        <img v-if="code" :src="code" alt="The first address as a QR code" width="180" height="180" />
        <p v-for="address in addresses" :key="address" class="small address">{{ address }}</p>
      </template>
    </div>
  </Popover>
</template>

<style scoped>
.room {
  display: grid;
  gap: 10px;
  width: 300px;
}
label {
  display: flex;
  gap: 10px;
  align-items: center;
}
.link-button {
  justify-self: start;
}
.address {
  overflow-wrap: anywhere;
  user-select: all;
}
</style>
