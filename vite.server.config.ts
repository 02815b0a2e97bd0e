import { defineConfig } from 'vite';

/** The server and the thread it works things out in, in dist/server; their packages stay in node_modules. */
export default defineConfig({
  build: {
    ssr: true,
    outDir: 'dist/server',
    emptyOutDir: true,
    target: 'node20',
    rollupOptions: {
      input: { main: 'server/main.ts', solver: 'server/solving/worker.ts' },
      output: { entryFileNames: '[name].js' },
    },
  },
  ssr: { external: true },
  publicDir: false,
});
