import { parentPort } from 'node:worker_threads';
import { doJob, type Job } from '#core/arrange';

/** Works out one job beside the server, which goes on answering meanwhile. */
parentPort?.once('message', (job: Job) => parentPort?.postMessage(doJob(job)));
