import { existsSync } from 'node:fs';
import { join } from 'node:path';
import express, { type Express } from 'express';
import { answerProblems, unknownRoute } from './http/problems';
import { LOOPBACK_NAMES } from './http/same-origin';
import { secure } from './http/secure';
import { arrangeRoutes } from './routes/arrange';
import { binRoutes } from './routes/bin';
import { entryRoutes } from './routes/entries';
import { houseRoutes } from './routes/house';
import { journalRoutes } from './routes/journal';
import { createLock, type Lock } from './lock/lock';
import { lockRoutes } from './routes/lock';
import { peopleRoutes } from './routes/people';
import { placeRoutes } from './routes/places';
import { planRoutes } from './routes/plans';
import { practisedRoutes } from './routes/practised';
import { runRoutes } from './routes/runs';
import { unreadableRoutes } from './routes/unreadable';
import { variantRoutes } from './routes/variants';
import type { AudienceServer } from './audience/audience-server';
import { sessionClocks, type SessionClocks } from './session-clocks';
import { solveInline, type Solver } from './solving/solver';
import type { Store } from './store/store';

interface AppOptions {
  /** Folder of the built interface; without it only the API is served. */
  webFolder?: string;
  log?: (error: unknown) => void;
  /** Where phones on the same network may view a session; without it that cannot be allowed. */
  audience?: AudienceServer;
  /** The lock on people's data, where others stand behind it as well. */
  lock?: Lock;
  /** Where timelines, fits, orders and forecasts are worked out; without it, where they are asked for. */
  solver?: Solver;
  /** The clocks of sessions under way, where others ask for them as well. */
  clocks?: SessionClocks;
  /** Whole origins under which a studio reaches it, besides those of this machine. */
  origins?: readonly string[];
}

/** The whole application: the API under /api, and the built interface for every other address. */
export function createApp(
  store: Store,
  {
    webFolder,
    log = console.error,
    audience,
    lock = createLock(store),
    solver = solveInline,
    clocks = sessionClocks(store.now),
    origins = [],
  }: AppOptions = {},
): Express {
  const app = express();
  secure(app, { names: () => LOOPBACK_NAMES, origins });
  app.use('/api', express.json({ limit: '2mb' }));
  app.get('/api/health', (_request, response) => {
    response.json({ ok: true });
  });
  app.use('/api/plans', planRoutes(store));
  app.use('/api/plans', variantRoutes(store));
  // Who was present, and what was noted, is as much about people as their own page is.
  app.use('/api/runs', lock.guard, runRoutes(store, clocks));
  app.use('/api/entries', entryRoutes(store));
  app.use('/api/lock', lockRoutes(lock));
  app.use('/api/people', lock.guard, peopleRoutes(store));
  app.use('/api/places', placeRoutes(store));
  app.use('/api/house', houseRoutes(store));
  app.use('/api/journal', lock.guard, journalRoutes(store));
  app.use('/api/practised', lock.guard, practisedRoutes(store));
  if (audience) app.use('/api/audience', audience.routes);
  app.use('/api/bin', binRoutes(store, lock));
  app.use('/api/unreadable', lock.guard, unreadableRoutes(store));
  app.use('/api', arrangeRoutes(store, solver));
  app.use('/api', unknownRoute);
  if (webFolder && existsSync(webFolder)) {
    app.use(
      '/assets',
      express.static(join(webFolder, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }),
    );
    app.use(express.static(webFolder));
    app.get('/{*path}', (_request, response) => response.sendFile('index.html', { root: webFolder }));
  }
  app.use(answerProblems(log));
  return app;
}
