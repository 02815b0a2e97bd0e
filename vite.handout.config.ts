import { defineConfig } from 'vite';

/** The program and the look of a handout, each as one file that is written into the pages it is made of. */
export default defineConfig({
  build: {
    outDir: 'web/public/handout',
    emptyOutDir: true,
    target: 'es2022',
    cssCodeSplit: false,
    lib: {
      entry: 'web/handout/main.ts',
      formats: ['iife'],
      name: 'handout',
      fileName: () => 'handout.js',
      cssFileName: 'handout',
    },
  },
  publicDir: false,
});
