<script setup lang="ts">
import { computed } from 'vue';
import { useEditor } from '../../state/editor';
import IconButton from '../../ui/IconButton.vue';
import { editInWords } from '../../widgets/plans/edit-words';

/** Undo and redo of the open plan; what each would do is said where it is known. */
const editor = useEditor();
const inWords = (edit: typeof editor.lastEdit): string => (edit ? `: ${editInWords(edit, editor.plan)}` : '');
const undoHint = computed(() => `Undo${inWords(editor.lastEdit)} (Ctrl Z)`);
const redoHint = computed(() => `Redo${inWords(editor.nextEdit)} (Ctrl Shift Z)`);
</script>

<template>
  <IconButton icon="undo" label="Undo" :hint="undoHint" :disabled="!editor.canUndo" @click="editor.undo()" />
  <IconButton icon="redo" label="Redo" :hint="redoHint" :disabled="!editor.canRedo" @click="editor.redo()" />
</template>
