import { expect, test } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import { PARTS } from './parts';

/** What belongs to a part that has another name. */
const PART_OF: Readonly<Record<string, string>> = {
  tab: 'tabs',
  tablist: 'tabs',
  column: 'datatable',
  accordionpanel: 'accordion',
  accordionheader: 'accordion',
  accordioncontent: 'accordion',
};
/** What has no look: services and types. */
const WITHOUT = new Set(['config', 'usetoast', 'toastservice', 'menuitem', 'passthrough', 'portal']);

test('every part that is used has its look', () => {
  const imports = execFileSync('git', ['grep', '-hoE', "'primevue/[a-z]+", '--', 'web/*.vue', 'web/*.ts'], {
    encoding: 'utf8',
  });
  const used = [...new Set(imports.trim().split('\n'))].map((path) => path.replace("'primevue/", ''));
  expect(used.length).toBeGreaterThan(20);
  const missing = used.filter((name) => !WITHOUT.has(name) && !((PART_OF[name] ?? name) in PARTS));
  expect(missing).toEqual([]);
});
