/** Jobs: fitting, ordering, pricing, forecasting and props, as values that go to a worker and come back. */
export { doJob, FORECAST, jobOf, type DrawnWeek, type Job, type JobKind, type Jobs, type WorkedOutCourse } from './job';
export { planMetrics, type PlanMetrics } from './plan-metrics';
export { withVariant, MAX_VARIANTS, NO_VARIANTS, readVariants, Variant, Variants } from './variants';
