<script setup lang="ts">
import FileUpload, { type FileUploadUploaderEvent } from 'primevue/fileupload';
import { useTemplateRef } from 'vue';
import AppIcon from '../AppIcon.vue';

/**
 * Opens a file of this device. Files of other types can be chosen too: whoever reads it says what is wrong with it.
 */
const { label, types } = defineProps<{ label: string; types: string }>();
const emit = defineEmits<{ open: [file: File] }>();

const upload = useTemplateRef<{ clear: () => void }>('upload');
function pick({ files }: FileUploadUploaderEvent): void {
  const [file] = [files].flat();
  // Otherwise the next file is one of two.
  upload.value?.clear();
  if (file) emit('open', file);
}
</script>

<template>
  <FileUpload
    ref="upload"
    mode="basic"
    auto
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
