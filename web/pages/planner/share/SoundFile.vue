<script setup lang="ts">
import Button from 'primevue/button';
import ProgressBar from 'primevue/progressbar';
import { clockOfMs } from '#core/time';
import { sizeInWords } from '../../../ui/sizes';
import type { useSound } from './use-sound';

/** What will be heard, the file while it is being made, and the file itself to listen to. */
const { sound, totalMs } = defineProps<{ sound: ReturnType<typeof useSound>; totalMs: number }>();
const { address, counted, file, progress, tooLong, trouble } = sound;
const of = (n: number, one: string): string => `${n} ${n === 1 ? one : `${one}s`}`;
const PERCENT = 100;
</script>

<template>
  <div class="sound">
    <p>
      {{ clockOfMs(totalMs) }} with {{ of(counted.bells, 'bell') }}, {{ of(counted.tones, 'tone') }} and
      {{ of(counted.counts, 'count') }}, as they are when the class is led without a change.
    </p>
    <p v-if="tooLong" class="caution" role="status">
      This class is too long for a WAV file, which has 6 MB for every minute. Choose Ogg.
    </p>
    <p v-else-if="counted.bells + counted.tones + counted.counts === 0" class="caution" role="status">
      Nothing is heard. Choose at least one kind of sound that this plan has.
    </p>
    <div v-else-if="progress !== undefined" class="making">
      <ProgressBar :value="Math.round(progress * PERCENT)" aria-label="Making the sound file" />
      <Button label="Cancel" size="small" text @click="sound.cancel" />
    </div>
    <template v-else-if="file">
      <audio :src="address" controls aria-label="The sound file" />
      <p class="small quiet" role="status">The file is ready: {{ sizeInWords(file.size) }}.</p>
    </template>
    <Button v-else label="Make the sound file" outlined size="small" @click="sound.make" />
    <p v-if="trouble" class="caution" role="alert">{{ trouble }}</p>
  </div>
</template>

<style scoped>
.sound {
  display: grid;
  gap: 10px;
  justify-items: start;
}
.making {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 8px;
  align-items: center;
  width: 100%;
}
audio {
  width: 100%;
}
</style>
