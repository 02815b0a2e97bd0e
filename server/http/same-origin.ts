import type { RequestHandler } from 'express';
import { HttpProblem } from './problems';

/** Names by which a browser on this machine reaches it. */
export const LOOPBACK_NAMES: readonly string[] = ['127.0.0.1', 'localhost', '[::1]'];

const READS: ReadonlySet<string> = new Set(['GET', 'HEAD']);

export interface OriginRules {
  /** Names this server is reached by, with the port it listens on. Asked at each request: networks change. */
  names: () => readonly string[];
  /** Whole origins besides, as a studio behind a proxy has them: `https://zovrin.example`. */
  origins?: readonly string[];
}

/** Reads a list of origins, separated by commas or blanks. Throws a RangeError for what is no origin. */
export function originsIn(list: string): string[] {
  return list
    .split(/[\s,]+/)
    .filter(Boolean)
    .map((text) => {
      const url = URL.canParse(text) ? new URL(text) : undefined;
      if (!url || !/^https?:$/.test(url.protocol) || url.pathname !== '/') {
        throw new RangeError(`“${text}” is not an origin. One looks like https://zovrin.example`);
      }
      return url.origin;
    });
}

/** Our origins by the Host a browser sends for them. */
function originsByHost(names: readonly string[], port: number | undefined, origins: readonly string[]) {
  const byHost = new Map<string, Set<string>>();
  for (const origin of [...names.map((name) => new URL(`http://${name}:${port}`).origin), ...origins]) {
    const { host } = new URL(origin);
    byHost.set(host, (byHost.get(host) ?? new Set()).add(origin));
  }
  return byHost;
}

/**
 * Answers only requests that were meant for this server and, where they change something, that come from its own pages
 * or from no page at all. Another site whose name was made to point at this machine is refused by its Host (421); a
 * form or script of another site by its Origin or Sec-Fetch-Site (403), with a body or without.
 */
export function sameOrigin({ names, origins = [] }: OriginRules): RequestHandler {
  // The names seldom change: the table is made anew only when they do.
  let [made, ours] = ['', new Map<string, Set<string>>()];
  return (request, _response, next) => {
    const here = names();
    const of = `${here.join()} ${request.socket.localPort}`;
    if (made !== of) [made, ours] = [of, originsByHost(here, request.socket.localPort, origins)];
    const known = ours.get((request.headers.host ?? '').toLowerCase());
    if (!known) throw new HttpProblem(421, 'Not this server', 'Zovrin does not answer under this name.');
    if (READS.has(request.method)) return next();
    const { origin, 'sec-fetch-site': site } = request.headers;
    const isForeign = (origin !== undefined && !known.has(origin)) || site === 'cross-site' || site === 'same-site';
    if (isForeign) throw new HttpProblem(403, 'Another site', 'Another site may not change anything here.');
    next();
  };
}
