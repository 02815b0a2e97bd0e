<script setup lang="ts">
import { onScopeDispose, ref, useTemplateRef } from 'vue';
import type { Ms } from '#core/numbers';
import FileButton from '../../../ui/fields/FileButton.vue';

/** The film or the recording that the captions belong to, played beside them. It stays on this machine. */
const emit = defineEmits<{ open: [isOpen: boolean] }>();
const address = ref('');
const name = ref('');
const trouble = ref('');
const player = useTemplateRef<HTMLVideoElement>('player');

function close(): void {
  if (address.value !== '') URL.revokeObjectURL(address.value);
  [address.value, trouble.value] = ['', ''];
  emit('open', false);
}
function open(file: File): void {
  close();
  [address.value, name.value] = [URL.createObjectURL(file), file.name];
  emit('open', true);
}
onScopeDispose(() => URL.revokeObjectURL(address.value));

/** Plays from a moment on. */
async function playFrom(ms: Ms): Promise<void> {
  if (!player.value) return;
  player.value.currentTime = ms / 1000;
  // Another moment that is asked for meanwhile ends this one.
  await player.value.play().catch(() => undefined);
}
defineExpose({ playFrom });
</script>

<template>
  <div class="film">
    <template v-if="address">
      <video
        ref="player"
        :src="address"
        controls
        :aria-label="`“${name}”, played beside its captions`"
        @error="trouble = `“${name}” cannot be played here.`"
      />
      <button type="button" class="link-button small" @click="close">Close “{{ name }}”</button>
    </template>
    <template v-else>
      <FileButton label="Open the film or recording" types="video/*,audio/*" @open="open" />
      <span class="small quiet">It is played beside its captions and stays on this machine.</span>
    </template>
    <p v-if="trouble" class="caution" role="alert">{{ trouble }}</p>
  </div>
</template>

<style scoped>
.film {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
}
video {
  width: 100%;
  max-height: 260px;
  background: var(--well);
}
.link-button {
  overflow-wrap: anywhere;
}
</style>
