import type { FieldIssue } from '#core/document';
import { planFile, readPlanFile, type Plan, type PlanFile } from '#core/plan';
import { useLibrary } from './library';

const MAX_BYTES = 2_000_000;

/** Saves a text as a file; characters that a file name cannot have are left out of its name. */
export const saveText = (text: string, name: string, ending: string, type: string): void =>
  saveFile(new Blob([text], { type }), name, ending);

/** Saves bytes as a file, in the same way. */
export function saveFile(bytes: Blob, name: string, ending: string): void {
  const link = window.document.createElement('a');
  link.href = URL.createObjectURL(bytes);
  const safeName = name.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, '') || 'file';
  link.download = `${safeName}${ending}`;
  link.click();
  URL.revokeObjectURL(link.href);
}

/** Saves a document as a file; what follows `.zovrin` in the name stands before its ending. */
export function saveJson(document: unknown, name: string): void {
  const [stem = '', ...more] = name.split('.zovrin');
  saveText(`${JSON.stringify(document, null, 2)}\n`, stem, `.zovrin${more.join('')}.json`, 'application/json');
}

/** Saves a plan as a file in the open format, with the custom entries that it uses. */
export function savePlanFile(plan: Plan): void {
  const { all, own } = useLibrary();
  saveJson(planFile(plan, all, own), `${plan.title}.zovrin`);
}

export type OpenedFile = ({ ok: true } & PlanFile) | { ok: false; reason: string; issues: FieldIssue[] };

/** Reads a plan file. Nothing is stored; what is wrong comes back with every field. */
export async function openPlanFile(file: File): Promise<OpenedFile> {
  if (file.size > MAX_BYTES)
    return { ok: false, reason: `“${file.name}” is larger than 2 MB. A plan file is smaller than that.`, issues: [] };
  let value: unknown;
  try {
    value = JSON.parse(await file.text());
  } catch {
    return { ok: false, reason: `“${file.name}” is not a plan file: it is not JSON.`, issues: [] };
  }
  const read = readPlanFile(value);
  if (read.ok) return read;
  return { ok: false, reason: `“${file.name}” cannot be opened. Nothing was saved.`, issues: read.issues };
}
