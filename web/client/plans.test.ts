import { beforeEach, describe, expect, test } from '@jest/globals';
import { emptyPlan } from '#core/plan';
import { fakeBrowser, type Call, type FakeBrowser } from '../../tests/support/browser';
import { createPlan } from './plans';

const at = '2026-11-26T18:00:00.000Z';
let browser: FakeBrowser;
/** Plans as a server keeps them: the same request again is the same plan. */
let stored: Map<string, unknown>;
const idsSent = (): string[] => browser.calls.map(({ body }) => (body as { id: string }).id);

function serve({ body }: Call) {
  const { id, document } = body as { id: string; document: unknown };
  stored.set(id, document);
  return { status: 201, body: { id, revision: 1, createdAt: at, updatedAt: at, document } };
}

beforeEach(() => {
  browser = fakeBrowser();
  browser.answer = serve;
  stored = new Map();
});

describe('making a plan', () => {
  test('whose answer was lost, and again: it is one plan', async () => {
    const plan = emptyPlan('Lost on the way back');
    browser.answer = (call) => {
      serve(call);
      return 'unreachable';
    };
    await expect(createPlan(plan)).rejects.toThrow('cannot be reached');
    browser.answer = serve;
    await createPlan(plan);
    expect(new Set(idsSent()).size).toBe(1);
    expect(stored.size).toBe(1);
  });

  test('twice on purpose, it is two; and so are two that differ', async () => {
    const plan = emptyPlan('On purpose');
    await createPlan(plan);
    await createPlan(plan);
    await createPlan({ ...plan, title: 'Another' });
    expect(stored.size).toBe(3);
  });

  test('that was refused and is sent again unchanged: it is a new try', async () => {
    const plan = emptyPlan('Refused');
    browser.answer = () => ({ status: 422 });
    await expect(createPlan(plan)).rejects.toThrow('Refused.');
    browser.answer = serve;
    await createPlan(plan);
    expect(new Set(idsSent()).size).toBe(2);
  });
});
