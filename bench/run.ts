import { benchBrowser } from './browser';
import { benchBreath } from './breath';
import { benchCompile } from './compile';
import type { Figure } from './measure';
import { benchServer } from './server';

const figures: Figure[] = [...benchCompile(), ...benchBreath(), ...(await benchServer()), ...(await benchBrowser())];
console.table(figures.map(({ what, figure, bar, ok }) => ({ what, figure, bar, met: ok ? 'yes' : 'NO' })));
