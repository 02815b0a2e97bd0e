import { join } from 'node:path';
import pino from 'pino';
import { createApp } from './app';
import { loadDemo } from './demo';
import { emptyBin } from './routes/bin';
import { openStore } from './store/store';

const DAY_MS = 24 * 3600 * 1000;
const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' });
const port = Number(process.env.PORT ?? 4780);
const host = '127.0.0.1';
const database = process.env.ZOVRIN_DATABASE ?? join(process.cwd(), 'data', 'zovrin.sqlite');

const store = await openStore(database);
await emptyBin(store);
setInterval(() => void emptyBin(store).catch((error: unknown) => log.error(error)), DAY_MS).unref();
if (process.argv.includes('--demo') && (await loadDemo(store))) console.log('Loaded the demo data.');

const app = createApp(store, { webFolder: join(process.cwd(), 'dist', 'web'), log: (error) => log.error(error) });
const server = app.listen(port, host, (error?: Error) => {
  if (error) {
    const taken = (error as NodeJS.ErrnoException).code === 'EADDRINUSE';
    console.error(taken ? `Port ${port} is in use. Choose another: PORT=4790 bin/demo` : error.message);
    process.exit(1);
  }
  console.log(`Zovrin is at http://${host}:${port}`);
});

for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.on(signal, () => {
    server.close(() => void store.close().then(() => process.exit(0)));
    server.closeAllConnections();
  });
}
