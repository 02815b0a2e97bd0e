<script setup lang="ts">
import FileUpload, { type FileUploadUploaderEvent } from 'primevue/fileupload';
import { useTemplateRef } from 'vue';
import AppIcon from '../AppIcon.vue';

/**
 * Opens a file of this device. Files of other types can be chosen too: whoever reads it says what is wrong with it.
 */
const {
  label,
  types,
  several = false,
} = defineProps<{
  label: string;
  types: string;
  /** Several files can be chosen at once. */
  several?: boolean;
}>();
const emit = defineEmits<{ open: [file: File]; openAll: [files: File[]] }>();

const upload = useTemplateRef<{ clear: () => void }>('upload');
function pick({ files }: FileUploadUploaderEvent): void {
  const all = [files].flat();
  const [file] = all;
  // Otherwise the next file is one of two.
  upload.value?.clear();
  if (!file) return;
  emit('open', file);
  emit('openAll', all);
}
</script>

<template>
  <FileUpload
    ref="upload"
    mode="basic"
    auto
    :multiple="several"
    custom-upload
    :choose-label="label"
    :choose-button-props="{ variant: 'outlined' }"
    :pt="{ input: { accept: types, 'aria-label': label } }"
    @uploader="pick"
  >
    <template #chooseicon><AppIcon name="open" :size="16" /></template>
    <template #filelabel />
  </FileUpload>
</template>
