/** Arrange: fitting, ordering, pricing and forecasting as jobs that go to a worker and come back as values. */
export { doJob, FORECAST, jobOf, type Job, type JobKind, type Jobs } from './job';
