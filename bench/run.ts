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

const figures: Figure[] = [
  ...benchCompile(),
  ...benchBreath(),
  ...benchProps(),
  ...(await benchFit()),
  ...benchOrder(),
  ...benchCaptions(),
  ...benchCourse(),
  ...benchForecast(),
  ...benchScreening(),
  ...(await benchServer()),
  ...(await benchBackup()),
  ...(await benchBrowser()),
];
console.table(figures.map(({ what, figure, bar, ok }) => ({ what, figure, bar, met: ok ? 'yes' : 'NO' })));
