import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';
import { Router, type RequestHandler, type Response } from 'express';
import { Op } from 'sequelize';
import { readCourse } from '#core/course';
import { calendarFile, classEvent, courseEvents, nameIndex, planOfUid, type ClassEvent } from '#core/exchange';
import type { CustomEntry } from '#core/catalogue';
import { readPlace } from '#core/cupboard';
import { CalendarFeed } from '#api';
import { POSITIONS, TECHNIQUES } from '#library';
import { alsoCalled } from '#library/synonyms';
import { answer } from '../http/answer';
import { notFound } from '../http/problems';
import { wholeLibrary } from '../store/custom-entries';
import { sliced } from '../store/sliced';
import type { Store } from '../store/store';
import { readable, readStored } from '../store/stored';
import { storedPlan } from '../store/stored-plans';

/** An address nobody can guess: 128 random bits. */
const TOKEN_BYTES = 16;
const ROW = 'house';
const MINUTES_BETWEEN = 15;

const pathOf = (token: string): string => `/calendar/${token}.ics`;

/** The private address of the feed: whether there is one, a new one, and none any more. */
export function calendarFeedRoutes(store: Store): Router {
  const routes = Router();

  routes.get('/', async (_request, response) => {
    const row = await store.feeds.findByPk(ROW);
    answer(response, CalendarFeed, { path: row ? pathOf(row.token) : null });
  });
  routes.post('/', async (_request, response) => {
    const token = randomBytes(TOKEN_BYTES).toString('base64url');
    await store.write(({ feeds }) => feeds.upsert({ id: ROW, token, madeMs: store.now() }));
    answer(response, CalendarFeed, { path: pathOf(token) });
  });
  routes.delete('/', async (_request, response) => {
    await store.write(({ feeds }) => feeds.destroy({ where: { id: ROW } }));
    response.status(204).end();
  });

  return routes;
}

/** The zone of each place that has one, by its id. */
async function zonesOf(store: Store): Promise<Map<string, string>> {
  const rows = await store.places.findAll({ raw: true });
  const { values } = readable(rows, ({ id, document }) => ({
    id,
    zone: readStored('place', document, readPlace).zone,
  }));
  return new Map(values.flatMap(({ id, zone }) => (zone === null ? [] : [[id, zone] as const])));
}

const namesOf = (own: readonly CustomEntry[]) =>
  nameIndex({
    positions: [...POSITIONS, ...own.flatMap((one) => (one.kind === 'position' ? [one.entry] : []))],
    techniques: [...TECHNIQUES, ...own.flatMap((one) => (one.kind === 'technique' ? [one.entry] : []))],
    alsoCalled,
  });

/** The classes of courses with a date; those whose plan was made are among the plans. */
async function courseEventsOf(store: Store, zones: ReadonlyMap<string, string>, here: string): Promise<ClassEvent[]> {
  const rows = await store.courses.findAll({ where: { deletedMs: null }, order: [['id', 'ASC']], raw: true });
  const { values } = readable(rows, ({ id, revision, updatedMs, document }) => {
    const course = readStored('course', document, readCourse);
    const zone = zones.get(course.base.plan.cupboard ?? '') ?? here;
    const events = courseEvents(course, { id, revision, changedMs: updatedMs, zone });
    return events.filter(({ uid }) => planOfUid(uid) === undefined);
  });
  return values.flat();
}

/** Every class with a date; one whose plan is in the bin is cancelled. */
async function eventsOf(store: Store): Promise<ClassEvent[]> {
  const { library, own } = await wholeLibrary(store);
  const names = namesOf(own);
  const zones = await zonesOf(store);
  const here = Intl.DateTimeFormat().resolvedOptions().timeZone;
  const dated = { document: { [Op.notLike]: '%"startsAt":null%' } };
  const rows = await store.plans.findAll({ where: dated, order: [['id', 'ASC']], raw: true });
  const events = await sliced(rows, ({ id, revision, document, updatedMs, deletedMs }) =>
    readable([document], storedPlan).values.map((plan) =>
      classEvent(plan, {
        id,
        revision,
        changedMs: deletedMs ?? updatedMs,
        zone: zones.get(plan.cupboard ?? '') ?? here,
        library,
        names,
        cancelled: deletedMs !== null,
      }),
    ),
  );
  const ofPlans = events.flat().filter((event) => event !== undefined);
  return [...ofPlans, ...(await courseEventsOf(store, zones, here))];
}

const digest = (text: string): Buffer => createHash('sha256').update(text).digest();

/**
 * The feed itself: every class with a date as a calendar file, for whoever has the address. It is read only, and a
 * calendar that sends the current tag gets 304. Nothing about people is in it.
 */
export function calendarFeed(store: Store): RequestHandler<{ name: string }> {
  let made: { version: number; file: string; tag: string } | undefined;

  async function current(): Promise<{ file: string; tag: string }> {
    const version = await store.version();
    if (made?.version === version) return made;
    const file = calendarFile(await eventsOf(store));
    made = { version, file, tag: `"${digest(file).toString('base64url')}"` };
    return made;
  }
  async function mustBeAddress(name: string, response: Response): Promise<void> {
    const row = await store.feeds.findByPk(ROW);
    const isIt = row !== null && timingSafeEqual(digest(`${row.token}.ics`), digest(name));
    if (isIt) return;
    response.set('cache-control', 'no-store');
    throw notFound('calendar at this address');
  }

  return async (request, response) => {
    await mustBeAddress(request.params.name, response);
    const { file, tag } = await current();
    // Calendars ask again by themselves, and are answered in short where nothing has changed.
    response.set({ 'cache-control': `private, max-age=${MINUTES_BETWEEN * 60}`, etag: tag });
    if (
      request
        .get('if-none-match')
        ?.split(',')
        .some((one) => one.trim().replace(/^W\//, '') === tag)
    ) {
      response.status(304).end();
      return;
    }
    response.type('text/calendar').send(file);
  };
}
