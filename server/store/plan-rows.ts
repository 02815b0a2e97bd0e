import { searchable } from '#core/catalogue';
import type { Plan } from '#core/plan';
import type { Tables } from './store';

const KEPT_REVISIONS = 200;

/** What stands in a plan's row beside its document. The title comes first: plans are put in order by it. */
export const planColumns = ({ title, group, intent, approach, tags }: Plan): { searchable: string } => ({
  searchable: searchable([title, group, intent, approach, ...tags].join(' ')),
});

/** Keeps a version of a plan as it is now, and lets go of the one that is now too old. */
export async function keepRevision({ sql }: Tables, id: string, revision: number): Promise<void> {
  await sql.run(
    'INSERT INTO plan_revisions (planId, revision, document, savedMs) SELECT id, revision, document, updatedMs FROM plans WHERE id = ?',
    id,
  );
  if (revision > KEPT_REVISIONS) {
    await sql.run('DELETE FROM plan_revisions WHERE planId = ? AND revision <= ?', id, revision - KEPT_REVISIONS);
  }
}
