import { TimelineResponse } from '#api';
import { doJob, type Job, type JobKind, type Jobs } from '#core/jobs';

/**
 * What a thread of the pool does: works out one job while the server goes on answering. A timeline comes back as the
 * text of its answer: it is long, and checking and writing it out would keep the server from others.
 */
export default function work(job: Job): Jobs[JobKind]['answer'] | string {
  const answer = doJob(job);
  return job.kind === 'timeline' ? JSON.stringify(TimelineResponse.parse(answer)) : answer;
}
