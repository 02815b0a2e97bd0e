import { Router } from 'express';
import { readPerson, type Person } from '#core/people';
import { CreatePersonRequest, ListPeopleResponse, PlanId, SavePersonRequest, StoredPerson } from '#api';
import { answer } from '../http/answer';
import { accept, HttpProblem, notFound, unprocessableDocument } from '../http/problems';
import { createDocument, saveDocument, type DocumentTable } from '../store/documents';
import type { DocumentRow, Models } from '../store/models';
import { iso, type Store } from '../store/store';

/** How many people a house knows. */
export const MOST_PEOPLE = 2000;

function storedPerson(text: string): Person {
  const read = readPerson(JSON.parse(text));
  if (!read.ok) throw new Error(`A stored person does not fit the schema: ${JSON.stringify(read.issues)}`);
  return read.value;
}

const stored = (row: DocumentRow): StoredPerson => ({
  id: row.id,
  revision: row.revision,
  createdAt: iso(row.createdMs),
  updatedAt: iso(row.updatedMs),
  document: storedPerson(row.document),
});

const kindOf = ({ people }: Pick<Models, 'people'>): DocumentTable<Person, StoredPerson> => ({
  table: people,
  noun: 'person',
  titleOf: ({ name }) => name,
  stored,
});

/** Reads a person of a request; throws every wrong field as a 422. */
function acceptPerson(document: unknown): Person {
  const read = readPerson(document);
  if (!read.ok) throw unprocessableDocument(read.issues);
  return read.value;
}

async function livePerson({ people }: Models, id: string): Promise<DocumentRow> {
  const row = await people.findOne({ where: { id, deletedMs: null } });
  if (!row) throw notFound('person with this id');
  return row;
}

/** Makes a person known; asked twice with the same, it is the same. */
export const createPerson = (store: Store, id: string, person: Person): Promise<StoredPerson> =>
  store.write(async (tables) => {
    const known = await tables.people.findByPk(id);
    if (!known && (await tables.people.count()) >= MOST_PEOPLE) {
      throw new HttpProblem(422, 'Full', `A house knows ${MOST_PEOPLE} people. Take someone out first.`);
    }
    return createDocument(kindOf(tables), id, person, store.now());
  });

/** People: list, make, read, save with a revision, into the bin. */
export function peopleRoutes(store: Store): Router {
  const routes = Router();
  const idOf = (params: { id?: string }): string => accept(PlanId, params.id);

  routes.get('/', async (_request, response) => {
    const rows = await store.people.findAll({ where: { deletedMs: null } });
    const people = rows.map(stored).sort((a, b) => a.document.name.localeCompare(b.document.name));
    answer(response, ListPeopleResponse, { people });
  });

  routes.post('/', async (request, response) => {
    const { id, document } = accept(CreatePersonRequest, request.body);
    const person = acceptPerson(document);
    answer(response, StoredPerson, await createPerson(store, id, person), 201);
  });

  routes.get('/:id', async (request, response) => {
    answer(response, StoredPerson, stored(await livePerson(store, idOf(request.params))));
  });

  routes.put('/:id', async (request, response) => {
    const id = idOf(request.params);
    const { revision, document } = accept(SavePersonRequest, request.body);
    const person = acceptPerson(document);
    const saved = await store.write(async (tables) =>
      saveDocument(kindOf(tables), await livePerson(tables, id), revision, person, store.now()),
    );
    answer(response, StoredPerson, saved);
  });

  routes.delete('/:id', async (request, response) => {
    const id = idOf(request.params);
    await store.write(async (tables) => (await livePerson(tables, id)).update({ deletedMs: store.now() }));
    response.status(204).end();
  });

  return routes;
}
