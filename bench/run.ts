import { benchBackup } from './backup';
import { benchBrowser } from './browser';
import { benchBreath } from './breath';
import { benchCaptions } from './captions';
import { benchCompile } from './compile';
import { benchCourse } from './course';
import { benchFit } from './fit';
import { benchForecast } from './forecast';
import type { Figure } from './measure';
import { benchOrder } from './order';
import { benchProps } from './props';
import { benchScreening } from './screening';
import { benchServer } from './server';

const BENCHES: Readonly<Record<string, () => Figure[] | Promise<Figure[]>>> = {
  compile: benchCompile,
  breath: benchBreath,
  props: benchProps,
  fit: benchFit,
  order: benchOrder,
  captions: benchCaptions,
  course: benchCourse,
  forecast: benchForecast,
  screening: benchScreening,
  server: benchServer,
  backup: benchBackup,
  browser: benchBrowser,
};

const wanted = process.argv.slice(2);
const unknown = wanted.filter((name) => !(name in BENCHES));
if (unknown.length > 0) {
  console.error(`There is no bench called ${unknown.join(' or ')}. There are: ${Object.keys(BENCHES).join(', ')}.`);
  process.exit(2);
}
const figures: Figure[] = [];
for (const [name, bench] of Object.entries(BENCHES))
  if (wanted.length === 0 || wanted.includes(name)) figures.push(...(await bench()));
console.table(figures.map(({ what, figure, bar, ok }) => ({ what, figure, bar, met: ok ? 'yes' : 'NO' })));
