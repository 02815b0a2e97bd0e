import { join } from 'node:path';
import pino from 'pino';
import { createApp } from './app';
import { createAudienceServer } from './audience/audience-server';
import { loadDemo } from './demo';
import { loggedError } from './log';
import { originsIn } from './http/same-origin';
import { createLock } from './lock/lock';
import { emptyBin } from './routes/bin';
import { sessionClocks } from './session-clocks';
import { warmUp } from './routes/warm-up';
import { createSolver } from './solving/solver';
import { databaseFile, demoDay } from './settings';
import { backupsOf } from './store/backups';
import { StartProblem } from './store/start-problem';
import { openStore } from './store/store';

const DAY_MS = 24 * 3600 * 1000;
const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' });
const port = Number(process.env.PORT ?? 4780);
/** Where phones on the same network may view a session, once the teacher allows it. */
const audiencePort = Number(process.env.ROOM_PORT ?? port + 1);
const host = '127.0.0.1';
const logError = (error: unknown): void => log.error(loggedError(error));

/** Nobody is helped by a stack: what is wrong is said in a sentence, and what to do. */
function giveUp(error: unknown): never {
  console.error(error instanceof StartProblem ? error.message : `Zovrin cannot start: ${(error as Error).message}`);
  process.exit(1);
}
process.once('uncaughtException', giveUp);

/** Origins under which a studio reaches it, besides this machine’s own names. */
const origins = originsIn(process.env.ZOVRIN_ORIGINS ?? '');
const store = await openStore(databaseFile()).catch(giveUp);
await emptyBin(store).catch(logError);
/** Once a day: the bin is emptied of what is too old only where there is a backup from before. */
const upkeep = (): Promise<void> =>
  store
    .backUp()
    .then(() => emptyBin(store))
    .catch(logError);
setInterval(() => void upkeep(), DAY_MS).unref();
if (process.argv.includes('--demo') && (await loadDemo(store, demoDay()))) console.log('Loaded the demo data.');
// A new database is backed up from its first day on.
if (backupsOf(store.file).length === 0) await store.backUp().catch(logError);

const webFolder = join(process.cwd(), 'dist', 'web');
const lock = createLock(store);
const clocks = sessionClocks(store.now);
const audience = createAudienceServer(store, {
  port: audiencePort,
  webFolder,
  log: logError,
  guard: lock.guard,
  origins,
  clocks,
});
const thread = new URL(import.meta.url.endsWith('.ts') ? './solving/worker.ts' : './solver.js', import.meta.url);
const solver = createSolver(thread);
const app = createApp(store, { webFolder, log: logError, audience, lock, solver, clocks, origins });
const server = app.listen(port, host, (error?: Error) => {
  if (error) {
    const taken = (error as NodeJS.ErrnoException).code === 'EADDRINUSE';
    console.error(taken ? `Port ${port} is in use. Choose another: PORT=4790 bin/demo` : error.message);
    process.exit(1);
  }
  process.removeListener('uncaughtException', giveUp);
  console.log(`Zovrin is at http://${host}:${port}`);
  // The first page that is opened finds its lists worked out.
  void warmUp(store).catch(logError);
});

// A browser may take up a connection again after a while: one that is closed under it costs a request.
server.keepAliveTimeout = 65_000;

for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.on(signal, () => {
    server.close(
      () =>
        void audience
          .end()
          .then(() => solver.close())
          .then(() => store.close())
          .then(() => process.exit(0)),
    );
    server.closeAllConnections();
  });
}
