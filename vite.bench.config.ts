import { defineConfig } from 'vite';

/** What `npm run bench` measures, built as the server is, so that figures are those of what ships. */
export default defineConfig({
  build: {
    ssr: true,
    outDir: 'dist/bench',
    emptyOutDir: true,
    target: 'node20',
    rollupOptions: { input: { run: 'bench/run.ts' }, output: { entryFileNames: '[name].js' } },
  },
  logLevel: 'warn',
  ssr: { external: true },
  publicDir: false,
});
