import { defineConfig } from 'vite';

/** The server: one file in dist/server; its packages stay in node_modules. */
export default defineConfig({
  build: {
    ssr: 'server/main.ts',
    outDir: 'dist/server',
    emptyOutDir: true,
    target: 'node20',
    rollupOptions: { output: { entryFileNames: 'main.js' } },
  },
  ssr: { external: true },
  publicDir: false,
});
