import { existsSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import { compileTimeline, DEFAULT_RULES } from '#core/timeline';
import { TimelineRequest, TimelineResponse } from '#api';
import { answer } from './http/answer';
import { accept, answerProblems, unknownRoute } from './http/problems';
import { binRoutes } from './routes/bin';
import { entryRoutes } from './routes/entries';
import { houseRoutes } from './routes/house';
import { peopleRoutes } from './routes/people';
import { placeRoutes } from './routes/places';
import { acceptPlanFile, planRoutes } from './routes/plans';
import { runRoutes } from './routes/runs';
import { libraryFor } from './store/own-library';
import type { Store } from './store/store';

interface AppOptions {
  /** Folder of the built interface; without it only the API is served. */
  webFolder?: string;
  log?: (error: unknown) => void;
}

/** The whole application: the API under /api, and the built interface for every other address. */
export function createApp(store: Store, { webFolder, log = console.error }: AppOptions = {}): Express {
  const app = express();
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
  app.use('/api', express.json({ limit: '2mb' }));
  app.get('/api/health', (_request, response) => {
    response.json({ ok: true });
  });
  app.use('/api/plans', planRoutes(store));
  app.use('/api/runs', runRoutes(store));
  app.use('/api/entries', entryRoutes(store));
  app.use('/api/people', peopleRoutes(store));
  app.use('/api/places', placeRoutes(store));
  app.use('/api/house', houseRoutes(store));
  app.use('/api/bin', binRoutes(store));
  app.post('/api/timeline', async (request, response) => {
    const { document, rules } = accept(TimelineRequest, request.body);
    const { plan, entries } = acceptPlanFile(document);
    const timeline = compileTimeline(plan, await libraryFor(store, plan, entries), rules ?? DEFAULT_RULES);
    answer(response, TimelineResponse, timeline as unknown as TimelineResponse);
  });
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
