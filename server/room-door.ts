import { randomBytes } from 'node:crypto';
import type { Server } from 'node:http';
import { networkInterfaces } from 'node:os';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import express, { Router, type Express } from 'express';
import { OpenRoomRequest, PlanId, RoomDoorState, RoomNow } from '#api';
import { answer } from './http/answer';
import { accept, answerProblems, HttpProblem, notFound, unknownRoute } from './http/problems';
import { latestRun } from './routes/runs';
import type { Store } from './store/store';

/** The addresses of this machine that others on the same network can reach. */
const outwardHosts = (): string[] =>
  Object.values(networkInterfaces())
    .flatMap((all) => all ?? [])
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => address);

interface DoorOptions {
  port: number;
  host?: string;
  /** Where others reach this machine. */
  reachedAt?: () => string[];
  webFolder?: string;
  secure: (app: Express) => void;
  log: (error: unknown) => void;
}

/**
 * The door for phones on the same network: shut until the teacher opens it for a plan, and then a second, outward address that
 * shows the session of that plan to whoever has the link, and nothing else; nothing can be changed through it.
 */
export function makeRoomDoor(
  store: Store,
  { port, host = '0.0.0.0', reachedAt = outwardHosts, webFolder, secure, log }: DoorOptions,
) {
  let listening: Server | undefined;
  let open: { planId: string; code: string } | undefined;

  async function now(planId: string): Promise<RoomNow> {
    const run = await latestRun(store, planId);
    return { runId: run?.id ?? null, plan: run?.plan ?? null, events: run?.events ?? [], nowMs: store.now() };
  }

  function outward(): Express {
    const app = express();
    secure(app);
    app.get('/api/room/:planId/now', async (request, response) => {
      const isAsked = open && request.params.planId === open.planId && request.query.code === open.code;
      if (!isAsked) throw notFound('session to look at');
      answer(response, RoomNow, await now(accept(PlanId, request.params.planId)));
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

  function state(): RoomDoorState {
    if (!open || !listening) return { open: false, planId: null, addresses: [] };
    const { port: taken } = listening.address() as AddressInfo;
    const { planId, code } = open;
    const addresses = reachedAt().map((at) => `http://${at}:${taken}/room/${planId}?code=${code}`);
    return { open: true, planId, addresses };
  }

  const listen = (): Promise<Server> =>
    new Promise((resolve, reject) => {
      const server = outward().listen(port, host, (error?: Error) => {
        if (error) reject(new HttpProblem(503, 'Not opened', `Port ${port} cannot be opened for the room.`));
        else resolve(server);
      });
    });

  async function shut(): Promise<void> {
    const server = listening;
    [listening, open] = [undefined, undefined];
    if (!server) return;
    await new Promise((resolve) => {
      server.close(resolve);
      server.closeAllConnections();
    });
  }

  const routes = Router();
  routes.get('/', (_request, response) => answer(response, RoomDoorState, state()));
  routes.put('/', async (request, response) => {
    const { planId } = accept(OpenRoomRequest, request.body);
    if (!(await store.plans.findOne({ where: { id: planId, deletedMs: null } }))) throw notFound('plan with this id');
    listening ??= await listen();
    // A link that was given out before is worth nothing for another plan.
    if (open?.planId !== planId) open = { planId, code: randomBytes(6).toString('base64url') };
    answer(response, RoomDoorState, state());
  });
  routes.delete('/', async (_request, response) => {
    await shut();
    response.status(204).end();
  });

  return { routes, shut, state };
}
export type RoomDoor = ReturnType<typeof makeRoomDoor>;
