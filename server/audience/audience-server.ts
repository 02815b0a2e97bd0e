import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';
import type { Server } from 'node:http';
import { networkInterfaces } from 'node:os';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import express, { Router, type Express, type Request, type RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import {
  API_BASE,
  AUDIENCE_EVENTS,
  AudiencePlan,
  AudienceSession,
  AudienceState,
  OpenAudienceRequest,
  type AudienceNow,
} from '#api';
import { effectiveEvents } from '#core/run';
import { answer } from '../http/answer';
import { accept, answerProblems, HttpProblem, notFound, unknownRoute } from '../http/problems';
import { LOOPBACK_NAMES } from '../http/same-origin';
import { secure } from '../http/secure';
import { tooMany } from '../http/too-many';
import { sessionClocks, type SessionClocks } from '../session-clocks';
import { latestRun } from '../routes/runs';
import type { Store } from '../store/store';

/** The addresses of this machine that others on the same network can reach. */
const outwardHosts = (): string[] =>
  Object.values(networkInterfaces())
    .flatMap((all) => all ?? [])
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => address);

const CODE_BYTES = 16;
const MINUTE_MS = 60_000;
/** A phone asks once a second. */
const MAX_ASKED_A_MINUTE = 180;
const MAX_WRONG_CODES_A_MINUTE = 20;
/** After the end, phones get that answer for a minute before the port is closed. */
const LINGER_MS = MINUTE_MS;

interface AudienceOptions {
  port: number;
  host?: string;
  /** Where others reach this machine. */
  reachedAt?: () => string[];
  webFolder?: string;
  log: (error: unknown) => void;
  /** Stands before opening it: who may not see people may not show a session either. */
  guard?: RequestHandler;
  /** Whole origins under which phones reach it, besides the addresses of this machine. */
  origins?: readonly string[];
  /** The clocks of sessions under way. */
  clocks?: SessionClocks;
  /** How long phones can ask about an ended session before the port is closed, in milliseconds. */
  lingerMs?: number;
}

/** What phones may view: one plan's session, by a code, from when the teacher opened it. */
interface Opened {
  planId: string;
  code: string;
  /** A run that had ended already when it was opened: its end is not that of the session to come. */
  endedBefore: string | undefined;
}

/** A session as JSON, with a tag that changes with it, as it was at a version of the database. */
interface Cached {
  version: number;
  tag: string;
  json: string;
  session: { runId: string; leftOutMs: number } | null;
}

const isSame = (given: string, wanted: string): boolean => {
  const [a, b] = [given, wanted].map((text) => createHash('sha256').update(text).digest());
  return a !== undefined && b !== undefined && timingSafeEqual(a, b);
};

/**
 * The second port, for phones on the same network: closed until the teacher opens it for a plan. Whoever has the link
 * then sees side, time, figure and breath of that plan's session and nothing else, and can change nothing. It closes by
 * itself when the session ends or the plan is deleted.
 */
export function createAudienceServer(store: Store, options: AudienceOptions) {
  const {
    port,
    host = '0.0.0.0',
    reachedAt = outwardHosts,
    webFolder,
    log,
    origins = [],
    lingerMs = LINGER_MS,
    clocks = sessionClocks(store.now),
  } = options;
  const guard: RequestHandler = options.guard ?? ((_request, _response, next) => next());
  let listening: Server | undefined;
  let open: Opened | undefined;
  /** The plan whose session is over; its phones are answered accordingly. */
  let over: Opened | undefined;
  let closing: NodeJS.Timeout | undefined;
  let cached: Cached | undefined;
  const reading = new Set<Promise<unknown>>();

  /** Remembers that the store is being read, so that nobody closes it meanwhile. */
  function whileReading<T>(work: Promise<T>): Promise<T> {
    const done = work.finally(() => reading.delete(done));
    reading.add(done);
    return done;
  }

  /** The session as phones see it, and how far the clock of the device that leads it was set meanwhile. */
  async function sessionOf({ planId, endedBefore }: Opened): Promise<[AudienceSession, leftOutMs: number] | null> {
    const run = await latestRun(store, planId);
    if (!run || run.id === endedBefore || run.events.length === 0) return null;
    const effective = effectiveEvents(run.events);
    const events = effective
      .filter(({ kind }) => AUDIENCE_EVENTS.has(kind))
      .map((event) => ({ ...event, window: undefined }));
    const leftOutMs = effective.reduce((sum, event) => (event.kind === 'clockSet' ? sum + event.byMs : sum), 0);
    return [AudienceSession.parse({ runId: run.id, plan: AudiencePlan.parse(run.plan), events }), leftOutMs];
  }

  /** The session as it is now, made anew only after something was stored. */
  async function current(opened: Opened): Promise<Cached> {
    const version = await store.version();
    if (cached?.version === version) return cached;
    const [shown, leftOutMs] = (await sessionOf(opened)) ?? [null, 0];
    const json = JSON.stringify(shown);
    const tag = createHash('sha256').update(json).digest('base64url').slice(0, 16);
    const made = { version, tag, json, session: shown && { runId: shown.runId, leftOutMs } };
    if (open === opened) cached = made;
    return made;
  }

  /** Ends it where the plan is gone or its session is over. Called after every change that is stored. */
  async function endWhereOver(): Promise<void> {
    const opened = open;
    if (!opened) return;
    const plan = await store.plans.findOne({ where: { id: opened.planId, deletedMs: null }, attributes: ['id'] });
    const run = await latestRun(store, opened.planId);
    const hasEnded = run && run.id !== opened.endedBefore && run.events.some(({ kind }) => kind === 'ended');
    if ((plan && !hasEnded) || open !== opened) return;
    [open, over, cached] = [undefined, opened, undefined];
    closing = setTimeout(() => void close(), lingerMs).unref();
  }
  const stopListening = store.afterWrite(() => void whileReading(endWhereOver()).catch(log));

  /** Throws an HttpProblem unless the request names the plan that is open, and its code. */
  function mustKnowCode(request: Request): Opened {
    const code = /^Bearer (.+)$/.exec(request.headers.authorization ?? '')?.[1] ?? '';
    const isFor = (one: Opened | undefined): one is Opened =>
      one !== undefined && request.params.planId === one.planId && isSame(code, one.code);
    if (isFor(open)) return open;
    if (isFor(over)) throw new HttpProblem(410, 'Over', 'This session is over.');
    throw notFound('session to view');
  }

  function outward(): Express {
    const app = express();
    secure(app, { names: () => [...LOOPBACK_NAMES, ...reachedAt()], origins });
    const perMinute = { windowMs: MINUTE_MS, standardHeaders: true, legacyHeaders: false, handler: tooMany } as const;
    app.use('/api', rateLimit({ ...perMinute, limit: MAX_ASKED_A_MINUTE }));
    const limitWrongCodes = rateLimit({
      ...perMinute,
      limit: MAX_WRONG_CODES_A_MINUTE,
      skipSuccessfulRequests: true,
      requestWasSuccessful: (_request, { statusCode }) => statusCode !== 404,
    });
    app.get(`${API_BASE}/audience/:planId/now`, limitWrongCodes, async (request, response) => {
      const { tag, json, session } = await whileReading(current(mustKnowCode(request)));
      const nowMs = (session && clocks.nowMs(session.runId)) ?? store.now() - (session?.leftOutMs ?? 0);
      const start = JSON.stringify({ nowMs, tag } satisfies AudienceNow).slice(0, -1);
      response.type('json').send(request.query.tag === tag ? `${start}}` : `${start},"session":${json}}`);
    });
    app.use('/api', unknownRoute);
    if (webFolder) {
      app.use('/assets', express.static(join(webFolder, 'assets'), { fallthrough: false }));
      app.use(express.static(webFolder, { index: false }));
      app.get('/room/:planId', (_request, response) => response.sendFile('index.html', { root: webFolder }));
    }
    app.use(unknownRoute);
    app.use(answerProblems(log));
    return app;
  }

  function state(): AudienceState {
    if (!open || !listening) return { open: false, planId: null, addresses: [] };
    const { port: taken } = listening.address() as AddressInfo;
    const { planId, code } = open;
    // Behind the #, the code is sent to no server and stands in no log.
    const addresses = reachedAt().map((at) => `http://${at}:${taken}/room/${planId}#${code}`);
    return { open: true, planId, addresses };
  }

  const listen = (): Promise<Server> =>
    new Promise((resolve, reject) => {
      const server = outward().listen(port, host, (error?: Error) => {
        if (error) reject(new HttpProblem(503, 'Not opened', `Port ${port} cannot be opened for phones.`));
        else resolve(server);
      });
    });

  async function openFor(planId: string): Promise<void> {
    if (!(await store.plans.findOne({ where: { id: planId, deletedMs: null }, attributes: ['id'] }))) {
      throw notFound('plan with this id');
    }
    // A link that was given out before is worth nothing for another plan.
    if (open?.planId === planId && listening) return;
    const run = await latestRun(store, planId);
    const endedBefore = run?.events.some(({ kind }) => kind === 'ended') ? run.id : undefined;
    listening ??= await listen();
    clearTimeout(closing);
    open = { planId, code: randomBytes(CODE_BYTES).toString('base64url'), endedBefore };
    [over, cached] = [undefined, undefined];
  }

  async function close(): Promise<void> {
    const server = listening;
    clearTimeout(closing);
    [listening, open, over, cached] = [undefined, undefined, undefined, undefined];
    if (!server) return;
    await new Promise((resolve) => {
      server.close(resolve);
      server.closeAllConnections();
    });
  }

  const routes = Router();
  routes.get('/', guard, (_request, response) => answer(response, AudienceState, state()));
  routes.put('/', guard, async (request, response) => {
    await openFor(accept(OpenAudienceRequest, request.body).planId);
    answer(response, AudienceState, state());
  });
  routes.delete('/', async (_request, response) => {
    await close();
    response.status(204).end();
  });

  return {
    routes,
    close,
    state,
    /** Closes it for good: it no longer listens to the store, and has read what it was reading. */
    async end(): Promise<void> {
      stopListening();
      await close();
      await Promise.allSettled(reading);
    },
  };
}
export type AudienceServer = ReturnType<typeof createAudienceServer>;
