const perMinute = new Intl.NumberFormat('en', { maximumFractionDigits: 2 });

/** Breaths a minute: `6`, `3.75`; `none` where there is no breath to count. */
export const rateInWords = (rate: number | null): string => (rate === null ? 'none' : perMinute.format(rate));
