import { benchFit } from './bench/fit';
console.table(await benchFit());
