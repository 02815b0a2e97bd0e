import { beforeEach, describe, expect, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { readPlanFile, selfContained, type Plan } from '#core/plan';
import { builtInLibrary } from '#library';
import { DEMO_PLANS } from '#library/demo';
import { fakeBrowser } from '../../tests/support/browser';
import { openPlanFile, saveJson, savePlanFile } from './files';

let given: { name: string; blob: Blob }[];
const { plan } = DEMO_PLANS[0]!;

beforeEach(() => {
  setActivePinia(createPinia());
  fakeBrowser();
  given = [];
  const urls = new Map<string, Blob>();
  const createElement = () => ({
    href: '',
    download: '',
    click() {
      given.push({ name: this.download, blob: urls.get(this.href)! });
    },
  });
  Object.defineProperty(globalThis, 'window', { value: { document: { createElement } }, configurable: true });
  URL.createObjectURL = (blob) => {
    urls.set('blob:1', blob as Blob);
    return 'blob:1';
  };
  URL.revokeObjectURL = (url) => void urls.delete(url);
});
const file = (text: string, name = 'evening.json'): File => new File([text], name);

describe('files', () => {
  test.each([
    ['Evening, for nurses / potters.zovrin', 'Evening-for-nurses-potters.zovrin.json'],
    ['Ærlig øvelse № 2.zovrin', 'Ærlig-øvelse-2.zovrin.json'],
    ['../../etc.zovrin', 'etc.zovrin.json'],
    ['???.zovrin', 'file.zovrin.json'],
    ['Mara.zovrin-person', 'Mara.zovrin-person.json'],
  ])('%s is called %s', (name, called) => {
    saveJson({ a: 1 }, name);
    expect(given.map((one) => one.name)).toEqual([called]);
  });

  test('a plan goes into a file and comes out of it as it was, without the group it was for', async () => {
    const planned: Plan = { ...plan, groupId: 'the-singers' };
    savePlanFile(planned);
    const text = await given[0]!.blob.text();
    expect(text).not.toContain('the-singers');
    const opened = await openPlanFile(file(text));
    expect(opened.ok && opened.plan).toEqual({ ...selfContained(plan, builtInLibrary), groupId: null });
    expect(readPlanFile(JSON.parse(text)).ok).toBe(true);
  });

  test('what is no JSON, no plan, or far too large is refused with its name and why', async () => {
    const reasonOf = async (opened: ReturnType<typeof openPlanFile>): Promise<string> => {
      const read = await opened;
      return read.ok ? '' : read.reason;
    };
    expect(await reasonOf(openPlanFile(file('{"title": ')))).toBe('“evening.json” is not a plan file: it is not JSON.');
    expect(await reasonOf(openPlanFile(file('{"format": "other"}')))).toBe(
      '“evening.json” cannot be opened. Nothing was saved.',
    );
    expect(await reasonOf(openPlanFile(file('x'.repeat(2_000_001))))).toContain('larger than 2 MB');
    const broken = await openPlanFile(file(JSON.stringify({ ...plan, title: '', steps: 'none' })));
    expect(!broken.ok && broken.issues.map(({ field }) => field).sort()).toEqual(['steps', 'title']);
  });
});
