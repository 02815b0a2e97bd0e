import { z } from 'zod';
import { Plan } from '#core/plan';

// Prettier would lay the schema out in its own way.
const BEGIN = '<!-- schema: begin (written by npm run docs:format) -->\n<!-- prettier-ignore-start -->';
const END = '<!-- prettier-ignore-end -->';

/** The JSON Schema of a plan, from the schema the code itself reads plans with. */
export const planJsonSchema = (): object => ({
  title: 'Zovrin plan, version 1',
  ...z.toJSONSchema(Plan, { io: 'input' }),
});

/** The text of `docs/format.md` with the schema put in between its marks. Throws where the marks are missing. */
export function withSchema(text: string): string {
  const [from, to] = [text.indexOf(BEGIN), text.indexOf(END)];
  if (from < 0 || to < from) throw new Error('format.md has lost its marks.');
  const block = `${BEGIN}\n\n\`\`\`json\n${JSON.stringify(planJsonSchema(), null, 2)}\n\`\`\`\n\n`;
  return text.slice(0, from) + block + text.slice(to);
}
