import { expose } from 'comlink';
import { doJob, type Job, type JobKind, type Jobs } from '#core/jobs';

/** Works out fits, orders, prices and forecasts away from the page. */
const helper = {
  run: <K extends JobKind>(job: Job<K>, ticks: (share: number) => void): Jobs[K]['answer'] => doJob(job, ticks),
};
export type Helper = typeof helper;

expose(helper);
