import { defineStore } from 'pinia';
import { useClass } from './use-class';
import { useEditor } from './editor';

/** The people of the plan on the desk compared with it. */
export const useScreening = defineStore('screening', () => {
  const editor = useEditor();
  return useClass(
    () => editor.id,
    () => editor.plan,
  );
});
