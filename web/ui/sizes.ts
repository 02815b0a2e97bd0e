const KILO = 1000;

/** A size as `450 KB` or `1.2 MB`. */
export function sizeInWords(bytes: number): string {
  if (bytes < KILO * KILO) return `${Math.max(1, Math.round(bytes / KILO))} KB`;
  return `${(bytes / KILO / KILO).toFixed(1)} MB`;
}
