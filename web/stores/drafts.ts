import { readPlan, type Plan } from '#core/plan';
import { kept } from './browser';
import { openTabs, tabName } from './tabs';

/** A plan with edits the server has not acknowledged yet. */
export interface Draft {
  /** The revision it was made from. */
  revision: number;
  plan: Plan;
  /** Versions that were sent without an answer: the server may have stored one of them. */
  unanswered: string[];
  editedAt: number;
}

const PREFIX = 'zovrin.draft.';
const keyOf = (planId: string, tab: string): string => `${PREFIX}${planId}.${tab}`;

function parse(text: string | null): Draft | undefined {
  try {
    const { revision, plan, unanswered, editedAt } = JSON.parse(text ?? '') as Record<string, unknown>;
    const read = readPlan(plan);
    if (!read.ok || typeof revision !== 'number' || typeof editedAt !== 'number' || !Array.isArray(unanswered))
      return undefined;
    return { revision, plan: read.plan, unanswered: unanswered.map(String), editedAt };
  } catch {
    return undefined;
  }
}

/** Keeps the unacknowledged plan of this tab. Gives whether the browser had room for it. */
export async function keepDraft(planId: string, draft: Omit<Draft, 'editedAt'>): Promise<boolean> {
  return kept.write(keyOf(planId, await tabName()), JSON.stringify({ ...draft, editedAt: Date.now() }));
}

export async function dropDraft(planId: string): Promise<void> {
  kept.remove(keyOf(planId, await tabName()));
}

/**
 * The newest draft of a plan that this tab left, or that a tab left which is no longer open, and forgets where it was:
 * whoever takes it keeps it from now on. Drafts of other open tabs are theirs.
 */
export async function takeDraft(planId: string): Promise<Draft | undefined> {
  const [mine, open] = await Promise.all([tabName(), openTabs()]);
  const prefix = `${PREFIX}${planId}.`;
  const orphaned = kept.keys(prefix).filter((key) => {
    const tab = key.slice(prefix.length);
    return tab === mine || !open.has(tab);
  });
  const drafts = orphaned.flatMap((key) => parse(kept.read(key)) ?? []);
  for (const key of orphaned) kept.remove(key);
  return drafts.sort((a, b) => b.editedAt - a.editedAt)[0];
}
