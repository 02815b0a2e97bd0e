import compression from 'compression';
import type { Express, Request } from 'express';
import helmet from 'helmet';
import { sameOrigin, type OriginRules } from './same-origin';

const isLoopback = ({ socket: { remoteAddress = '' } }: Request): boolean =>
  remoteAddress === '::1' || /^(::ffff:)?127\./.test(remoteAddress);

/** What stands before everything else on each of our ports: whose requests are answered, and what every answer carries. */
export function secure(app: Express, rules: OriginRules): void {
  app.disable('x-powered-by');
  // Nothing of the API is kept by a browser, so that there is nothing to compare; files have their own.
  app.disable('etag');
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
          baseUri: ["'none'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
        },
      },
      strictTransportSecurity: false,
    }),
  );
  app.use(sameOrigin(rules));
  // People's data and session codes are in these answers: neither the browser nor its disk keeps them.
  app.use('/api', (_request, response, next) => {
    response.setHeader('cache-control', 'no-store');
    next();
  });
  // On the same machine packing costs more than it saves.
  app.use(
    compression({ filter: (request, response) => !isLoopback(request) && compression.filter(request, response) }),
  );
}
