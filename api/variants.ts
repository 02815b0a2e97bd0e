import { NO_VARIANTS, readVariants, Variants } from '#core/jobs';
import { onlyResourceOf } from './documents';

/** The variants that are kept beside a plan. */
export const VARIANTS = onlyResourceOf<Variants>({
  noun: 'set of variants',
  path: '/variants',
  document: Variants,
  read: readVariants,
  initial: NO_VARIANTS,
});
