import { existsSync } from 'node:fs';
import { join } from 'node:path';
import express, { Router, type Express } from 'express';
import { API_BASE } from '#api';
import { answerProblems, unknownRoute } from './http/problems';
import { LOOPBACK_NAMES } from './http/same-origin';
import { secure } from './http/secure';
import { aboutRoutes } from './routes/about';
import { arrangeRoutes } from './routes/arrange';
import { backupRoutes } from './routes/backups';
import { binRoutes } from './routes/bin';
import { calendarFeed, calendarFeedRoutes } from './routes/calendar-feed';
import { descriptionRoutes } from './routes/description';
import { entryRoutes } from './routes/entries';
import { journalRoutes } from './routes/journal';
import { createLock, type Lock } from './lock/lock';
import { lockRoutes } from './routes/lock';
import { outboxRoutes } from './routes/outbox';
import { decisionRoutes, groupRoutes, peopleRoutes } from './routes/people';
import { courseRoutes } from './routes/courses';
import { placeRoutes } from './routes/places';
import { planTagRoutes, usedEntryRoutes } from './routes/plan-lists';
import { planRoutes } from './routes/plans';
import { practisedRoutes } from './routes/practised';
import { runRoutes } from './routes/runs';
import { sampleRoutes } from './routes/sample';
import { settingsRoutes } from './routes/settings';
import { unreadableRoutes } from './routes/unreadable';
import { variantRoutes } from './routes/variants';
import type { AudienceServer } from './audience/audience-server';
import { sessionClocks, type SessionClocks } from './session-clocks';
import { solveInline, type Solver } from './solving/solver';
import type { Store } from './store/store';

interface ApiParts {
  audience: AudienceServer | undefined;
  lock: Lock;
  solver: Solver;
  clocks: SessionClocks;
}

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

/** Everything below the address of the API. Everything about people is behind the lock. */
function apiRoutes(store: Store, { audience, lock, solver, clocks }: ApiParts): Router {
  const api = Router();
  api.get('/health', (_request, response) => {
    response.json({ ok: true });
  });
  api.use(descriptionRoutes());
  api.use('/plan-tags', planTagRoutes(store));
  api.use('/used-entries', usedEntryRoutes(store));
  api.use('/plans', planRoutes(store));
  api.use('/plans', variantRoutes(store));
  api.use('/plans/:id/decisions', lock.guard);
  api.use('/plans', decisionRoutes(store));
  // Who was present, and what was noted, is as much about people as their own page is.
  for (const [path, routes] of [
    ['/people', peopleRoutes(store)],
    ['/groups', groupRoutes(store)],
    ['/runs', runRoutes(store, clocks)],
    ['/courses', courseRoutes(store)],
    ['/journal', journalRoutes(store)],
    ['/practised', practisedRoutes(store)],
    ['/unreadable', unreadableRoutes(store)],
    ['/sample', sampleRoutes(store)],
    ['/backups', backupRoutes(store)],
    ['/outbox', outboxRoutes(store)],
  ] as const) {
    api.use(path, lock.guard, routes);
  }
  api.use('/entries', entryRoutes(store));
  api.use('/places', placeRoutes(store));
  api.use('/settings', settingsRoutes(store));
  api.use('/about', aboutRoutes(store));
  api.use('/calendar-feed', calendarFeedRoutes(store));
  api.use('/lock', lockRoutes(lock));
  if (audience) api.use('/audience', audience.routes);
  api.use('/bin', binRoutes(store, lock));
  api.use(arrangeRoutes(store, solver));
  return api;
}

/** The whole application: the API, and the built interface for every other address. */
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
  app.use(API_BASE, apiRoutes(store, { audience, lock, solver, clocks }));
  app.use('/api', unknownRoute);
  app.get('/calendar/:name', calendarFeed(store));
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
