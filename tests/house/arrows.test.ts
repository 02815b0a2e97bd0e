import { afterAll, describe, expect, test } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import { copyFileSync, mkdirSync, mkdtempSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';

const root = new URL('../../', import.meta.url).pathname;
const house = mkdtempSync(join(tmpdir(), 'zovrin-house-'));
afterAll(() => rmSync(house, { recursive: true }));

/** A file of a small house that holds nothing but one import, and the rule it breaks; none if it is allowed. */
const ARROWS: readonly [from: string, to: string, broken?: string][] = [
  ['core/time/wrong.ts', '../plan/index', 'core-time-looks-down'],
  ['core/numbers/wrong.ts', '../time/index', 'core-numbers-looks-down'],
  ['core/plan/inside.ts', '../time/parse', 'through-the-public-face'],
  ['core/plan/express.ts', 'express', 'core-knows-zod-and-itself'],
  ['core/plan/web.ts', '../../web/ui/field', 'core-knows-zod-and-itself'],
  ['library/wrong.ts', '../api/index', 'library-knows-core'],
  ['api/wrong.ts', '../server/index', 'api-knows-core'],
  ['server/wrong.ts', '../web/ui/field', 'server-not-web'],
  ['web/client/wrong.ts', '../sync/draft', 'web-client-looks-down'],
  ['web/sync/wrong.ts', '../state/store', 'web-sync-looks-down'],
  ['web/state/wrong.ts', '../widgets/ribbon/ribbon', 'web-state-looks-down'],
  ['web/ui/store.ts', '../state/store', 'ui-knows-neither-store-nor-domain'],
  ['web/ui/domain.ts', '../../core/plan/index', 'ui-knows-neither-store-nor-domain'],
  ['web/ui/wrong.ts', '../widgets/ribbon/ribbon', 'web-ui-looks-down'],
  ['web/widgets/ribbon/wrong.ts', '../../pages/home/page', 'web-widgets-looks-down'],
  ['web/pages/planner/wrong.ts', '../home/page', 'pages-never-import-each-other'],
  ['web/pages/home/app.ts', '../../app/router', 'web-pages-looks-down'],
  ['web/workers/wrong.ts', '../state/store', 'workers-know-core-and-library'],
  ['web/handout/wrong.ts', '../state/store', 'handout-stands-alone'],
  ['web/client/server.ts', '../../server/index', 'web-not-server'],
  ['web/attic/wrong.ts', '../ui/field', 'web-has-rooms'],
  ['web/ui/gone.ts', './not-there', 'nothing-unresolved'],
  ['core/time/allowed.ts', '../numbers/index'],
  ['web/ui/allowed.ts', '../../core/time/index'],
  ['web/app/allowed.ts', '../pages/home/page'],
  ['web/pages/home/allowed.ts', '../../widgets/ribbon/ribbon'],
  ['web/widgets/ribbon/allowed.ts', '../../state/store'],
  ['web/state/allowed.ts', '../sync/draft'],
  ['web/sync/allowed.ts', '../client/http'],
  ['web/workers/allowed.ts', '../../core/plan/index'],
  ['web/handout/allowed.ts', '../../core/plan/index'],
];

function put(path: string, text = 'export const here = 1;\n'): void {
  mkdirSync(dirname(join(house, path)), { recursive: true });
  writeFileSync(join(house, path), text);
}

describe('the arrows of the house', () => {
  for (const name of ['.dependency-cruiser.cjs', 'tsconfig.json']) copyFileSync(join(root, name), join(house, name));
  symlinkSync(join(root, 'node_modules'), join(house, 'node_modules'));
  put('package.json', JSON.stringify({ type: 'module', dependencies: { express: '5' } }));
  for (const folder of ['numbers', 'time', 'plan']) put(`core/${folder}/index.ts`);
  for (const path of ['core/time/parse', 'api/index', 'server/index', 'library/index']) put(`${path}.ts`);
  for (const path of ['client/http', 'sync/draft', 'state/store', 'ui/field', 'app/router']) put(`web/${path}.ts`);
  for (const path of ['widgets/ribbon/ribbon', 'pages/home/page']) put(`web/${path}.ts`);
  put('web/sync/one.ts', "import './two';\n");
  put('web/sync/two.ts', "import './one';\n");
  for (const [from, to] of ARROWS) put(from, `import '${to}';\n`);

  const { stdout } = spawnSync(
    join(root, 'node_modules/.bin/depcruise'),
    ['--config', '.dependency-cruiser.cjs', '--output-type', 'json', 'core', 'library', 'api', 'server', 'web'],
    { cwd: house, encoding: 'utf8', maxBuffer: 1 << 26 },
  );
  const { summary } = JSON.parse(stdout) as {
    summary: { error: number; violations: { from: string; rule: { name: string } }[] };
  };
  const brokenBy = (from: string): string[] =>
    summary.violations.filter((one) => one.from === from).map(({ rule }) => rule.name);

  test.each(ARROWS.filter(([, , broken]) => broken))('%s → %s is refused by %s', (from, _to, broken) => {
    expect(brokenBy(from)).toContain(broken);
  });
  test.each(ARROWS.filter(([, , broken]) => !broken))('%s → %s is allowed', (from) => {
    expect(brokenBy(from)).toEqual([]);
  });
  test('a circle is refused', () => {
    expect(brokenBy('web/sync/one.ts')).toEqual(['no-circles']);
    expect(summary.error).toBeGreaterThan(ARROWS.length / 2);
  });
});
