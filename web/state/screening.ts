import { defineStore } from 'pinia';
import { useClass } from './use-class';
import { useEditor } from './editor';

/** The screening of the open plan's group. */
export const useScreening = defineStore('screening', () => {
  const editor = useEditor();
  return useClass(
    () => editor.id,
    () => editor.plan,
  );
});
