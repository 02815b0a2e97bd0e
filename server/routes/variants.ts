import { Router } from 'express';
import { NO_VARIANTS, readVariants, type Variants } from '#core/arrange';
import { PlanId, SaveVariantsRequest, StoredVariants } from '#api';
import { answer } from '../http/answer';
import { accept, notFound, unprocessableDocument } from '../http/problems';
import { putDocument, type DocumentTable } from '../store/documents';
import type { DocumentRow, Models } from '../store/models';
import type { Store } from '../store/store';

function storedVariants(text: string): Variants {
  const read = readVariants(JSON.parse(text));
  if (!read.ok) throw new Error(`Stored variants do not fit their schema: ${JSON.stringify(read.issues)}`);
  return read.value;
}

const stored = ({ revision, document }: DocumentRow): StoredVariants => ({
  revision,
  document: storedVariants(document),
});

const kindOf = ({ variants }: Pick<Models, 'variants'>): DocumentTable<Variants, StoredVariants> => ({
  table: variants,
  noun: 'set of variants',
  titleOf: () => 'Variants',
  stored,
});

/** The variants kept beside a plan: read them, and save them with a revision. Mounted at `/plans`. */
export function variantRoutes(store: Store): Router {
  const routes = Router();

  async function planId(tables: Pick<Models, 'plans'>, id: string | undefined): Promise<string> {
    const row = await tables.plans.findOne({ where: { id: accept(PlanId, id), deletedMs: null }, attributes: ['id'] });
    if (!row) throw notFound('plan with this id');
    return row.id;
  }

  routes.get('/:id/variants', async (request, response) => {
    const row = await store.variants.findByPk(await planId(store, request.params.id));
    answer(response, StoredVariants, row ? stored(row) : { revision: 0, document: NO_VARIANTS });
  });

  routes.put('/:id/variants', async (request, response) => {
    const { revision, document } = accept(SaveVariantsRequest, request.body);
    const read = readVariants(document);
    if (!read.ok) throw unprocessableDocument(read.issues);
    const saved = await store.write(async (tables) => {
      const id = await planId(tables, request.params.id);
      return putDocument(kindOf(tables), id, revision, read.value, store.now());
    });
    answer(response, StoredVariants, saved);
  });

  return routes;
}
