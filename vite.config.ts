import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';

const server = `http://127.0.0.1:${process.env.PORT ?? 4780}`;

/** The interface: from web/ into dist/web. */
export default defineConfig({
  root: 'web',
  plugins: [vue()],
  build: { outDir: '../dist/web', emptyOutDir: true, target: 'es2023', chunkSizeWarningLimit: 700 },
  // Workers are modules, as they are started: so that they may load parts of themselves later.
  worker: { format: 'es' },
  server: {
    port: 4781,
    proxy: {
      // The server answers its own pages only: what comes through here says that it is one of them.
      '/api': { target: server, changeOrigin: true, headers: { origin: server } },
    },
  },
});
