import { z } from 'zod';
import { ENTRY_VERSION, CustomEntry } from '#core/catalogue';
import { MAX_FILE_ENTRIES, Plan, PLAN_VERSION } from '#core/plan';

// Prettier would lay the schema out in its own way.
const BEGIN = '<!-- schema: begin (written by npm run docs:format) -->\n<!-- prettier-ignore-start -->';
const END = '<!-- prettier-ignore-end -->';

export const ENTRY_SCHEMA_FILE = 'entry-schema.json';

/** The JSON Schema of an entry of a teacher's own library, from the schema the code itself reads entries with. */
export const entryJsonSchema = (): object => ({
  $id: ENTRY_SCHEMA_FILE,
  title: `Zovrin entry of a library, version ${ENTRY_VERSION}`,
  ...z.toJSONSchema(CustomEntry, { io: 'input' }),
});

/** The JSON Schema of a plan as it is in a file, from the schema the code itself reads plans with. */
export function planJsonSchema(): object {
  const plan = z.toJSONSchema(Plan, { io: 'input' });
  const entries = { type: 'array', maxItems: MAX_FILE_ENTRIES, items: { $ref: ENTRY_SCHEMA_FILE } };
  return {
    title: `Zovrin plan, version ${PLAN_VERSION}`,
    ...plan,
    properties: { ...plan.properties, entries },
  };
}

/** The text of `docs/format.md` with the schema put in between its marks. Throws if the marks are missing. */
export function withSchema(text: string): string {
  const [from, to] = [text.indexOf(BEGIN), text.indexOf(END)];
  if (from < 0 || to < from) throw new Error('format.md has lost its marks.');
  const block = `${BEGIN}\n\n\`\`\`json\n${JSON.stringify(planJsonSchema(), null, 2)}\n\`\`\`\n\n`;
  return text.slice(0, from) + block + text.slice(to);
}

/** The text of the file of the entries' schema. */
export const entrySchemaText = (): string => `${JSON.stringify(entryJsonSchema(), null, 2)}\n`;
