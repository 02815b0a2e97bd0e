import compression from 'compression';
import type { Express, Request } from 'express';
import helmet from 'helmet';
import { sameOrigin, type OriginRules } from './same-origin';

const isLoopback = ({ socket: { remoteAddress = '' } }: Request): boolean =>
  remoteAddress === '::1' || /^(::ffff:)?127\./.test(remoteAddress);

/** Guards each of our ports before anything else: whose requests are answered, and the headers every answer carries. */
export function secure(app: Express, rules: OriginRules): void {
  app.disable('x-powered-by');
  // Browsers keep nothing of the API, so they have nothing to compare; static files have tags of their own.
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
          // A sound file that was made in the page is heard before it is saved.
          mediaSrc: ["'self'", 'blob:'],
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
  // On the same machine, compressing costs more than it saves.
  app.use(
    compression({ filter: (request, response) => !isLoopback(request) && compression.filter(request, response) }),
  );
}
