import type { Router } from 'express';
import { Op } from 'sequelize';
import { readCourse, type Course } from '#core/course';
import { annotationsOf, sessionsOfGroup } from '#core/review';
import { COURSES, type CourseSessionsResponse, type StoredCourse } from '#api';
import { notFound } from '../http/problems';
import { runWorkings } from '../store/run-workings';
import type { Store } from '../store/store';
import { readable, readStored } from '../store/stored';
import { eventsOf, storedRun } from '../store/stored-runs';
import { idOf } from '../http/requests';
import { createIn, documentRoutes, type DocumentResource } from './document-resource';

/** How many courses there can be. */
const MAX_COURSES = 500;

const COURSE: DocumentResource<Course> = {
  resource: COURSES,
  table: 'courses',
  titleOf: ({ title }) => title,
  max: MAX_COURSES,
  full: `There are ${MAX_COURSES} courses already. Delete one first.`,
};

/** Makes a course; asked twice with the same, it is the same. */
export const createCourse = (store: Store, id: string, course: Course): Promise<StoredCourse> =>
  createIn(COURSE, store, id, course);

/** The sessions of a course’s group and of the plans of its weeks, in order of time. */
async function sessionsOf({ base, plans }: Course, store: Store): Promise<CourseSessionsResponse> {
  const weekOf = new Map(plans.map(({ planId, week }) => [planId, week]));
  const rows = await store.runs.findAll({ attributes: ['id'], where: { deletedMs: null } });
  const workings = await runWorkings(store, rows);
  const practised = rows.flatMap(({ id }) => workings.get(id)?.practised ?? []);
  const ofGroup = new Set(sessionsOfGroup(practised, base.plan));
  const counted = practised.filter((one) => ofGroup.has(one) || (one.planId !== null && weekOf.has(one.planId)));
  const ids = counted.map(({ id }) => id);
  const events = await eventsOf(store, ids);
  const { values } = readable(await store.runs.findAll({ where: { id: { [Op.in]: ids } } }), (row) =>
    storedRun(row, events.get(row.id) ?? []),
  );
  const runs = new Map(values.map((run) => [run.id, run]));
  const sessions = counted.map(({ id, beganAtMs, planId, group, groupId, people, easyBreaths, ended }) => {
    const week = (planId === null ? undefined : weekOf.get(planId)) ?? null;
    const run = runs.get(id);
    const present = run ? annotationsOf(run.events).present : null;
    const came = present && present.people.length + present.others;
    const plan = week === null ? null : (run?.plan ?? null);
    return { runId: id, week, plan, came, beganAtMs, planId, group, groupId, people, easyBreaths, ended };
  });
  const unreadable = rows.filter(({ id }) => workings.get(id)?.summary.unreadable !== 0).length;
  return { sessions: sessions.sort((a, b) => a.beganAtMs - b.beganAtMs), unreadable };
}

/** Courses: list, make, read, save with a revision, into the bin; and the sessions that one counts. */
export function courseRoutes(store: Store): Router {
  const routes = documentRoutes(COURSE, store);
  routes.get('/:id/sessions', async (request, response) => {
    const row = await store.courses.findOne({ where: { id: idOf(request), deletedMs: null } });
    if (!row) throw notFound('course with this id');
    const course = readStored('course', row.document, readCourse);
    response.json((await sessionsOf(course, store)) satisfies CourseSessionsResponse);
  });
  return routes;
}
