import { existsSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import { compileTimeline, DEFAULT_RULES } from '#core/timeline';
import { TimelineRequest, TimelineResponse } from '#api';
import { answer } from './http/answer';
import { accept, answerProblems, unknownRoute } from './http/problems';
import { arrangeRoutes } from './routes/arrange';
import { binRoutes } from './routes/bin';
import { entryRoutes } from './routes/entries';
import { houseRoutes } from './routes/house';
import { journalRoutes } from './routes/journal';
import { lockRoutes, makeLock } from './routes/lock';
import { peopleRoutes } from './routes/people';
import { placeRoutes } from './routes/places';
import { acceptPlanFile, planRoutes } from './routes/plans';
import { practisedRoutes } from './routes/practised';
import { runRoutes } from './routes/runs';
import { variantRoutes } from './routes/variants';
import type { RoomDoor } from './room-door';
import { solveHere, type Solve } from './solving/solve';
import { libraryFor } from './store/own-library';
import type { Store } from './store/store';

interface AppOptions {
  /** Folder of the built interface; without it only the API is served. */
  webFolder?: string;
  log?: (error: unknown) => void;
  /** Where phones on the same network may look on; without it that cannot be allowed. */
  door?: RoomDoor;
  /** Where fits, orders and forecasts are worked out; without it, where they are asked for. */
  solve?: Solve;
}

/** What every address of ours is guarded by. */
export function secure(app: Express): void {
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          // PrimeVue puts its theme into style elements at run time.
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:'],
          fontSrc: ["'self'"],
          objectSrc: ["'none'"],
          frameAncestors: ["'self'"],
        },
      },
      strictTransportSecurity: false,
    }),
  );
  app.use(compression());
}

/** The whole application: the API under /api, and the built interface for every other address. */
export function createApp(
  store: Store,
  { webFolder, log = console.error, door, solve = solveHere }: AppOptions = {},
): Express {
  const app = express();
  secure(app);
  app.use('/api', express.json({ limit: '2mb' }));
  app.get('/api/health', (_request, response) => {
    response.json({ ok: true });
  });
  app.use('/api/plans', planRoutes(store));
  app.use('/api/plans', variantRoutes(store));
  app.use('/api/runs', runRoutes(store));
  app.use('/api/entries', entryRoutes(store));
  const lock = makeLock(store);
  app.use('/api/lock', lockRoutes(lock));
  app.use('/api/people', lock.guard, peopleRoutes(store));
  app.use('/api/places', placeRoutes(store));
  app.use('/api/house', houseRoutes(store));
  app.use('/api/journal', journalRoutes(store));
  app.use('/api/practised', practisedRoutes(store));
  if (door) app.use('/api/room', door.routes);
  app.use('/api/bin', binRoutes(store, lock));
  app.post('/api/timeline', async (request, response) => {
    const { document, rules } = accept(TimelineRequest, request.body);
    const { plan, entries } = acceptPlanFile(document);
    const timeline = compileTimeline(plan, await libraryFor(store, plan, entries), rules ?? DEFAULT_RULES);
    answer(response, TimelineResponse, timeline as unknown as TimelineResponse);
  });
  app.use('/api', arrangeRoutes(store, solve));
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
