import { benchBrowser } from './browser';
import { benchBreath } from './breath';
import { benchCompile } from './compile';
import type { Figure } from './measure';
import { benchProps } from './props';
import { benchServer } from './server';

const figures: Figure[] = [
  ...benchCompile(),
  ...benchBreath(),
  ...benchProps(),
  ...(await benchServer()),
  ...(await benchBrowser()),
];
console.table(figures.map(({ what, figure, bar, ok }) => ({ what, figure, bar, met: ok ? 'yes' : 'NO' })));
