import { computed, inject, provide, type ComputedRef, type InjectionKey } from 'vue';

/** Why the server refused a field of the form, by the field’s name; empty if it did not. */
type RefusalOf = (name: string) => string;
const REFUSALS: InjectionKey<RefusalOf> = Symbol('what the server refused of a form');

/** Tells the fields of a form what the server refused. */
export const provideRefusals = (refusalOf: RefusalOf): void => provide(REFUSALS, refusalOf);

/** Why the server refused a field of the form around it. */
export function useRefusal(name: () => string): ComputedRef<string> {
  const refusalOf = inject(REFUSALS, () => () => '', true);
  return computed(() => refusalOf(name()));
}

/** What was sent is refused, and at which field. */
export class Refusal extends Error {
  readonly fields: readonly { field: string; reason: string }[];
  constructor(field: string, reason: string) {
    super(reason);
    this.fields = [{ field, reason }];
  }
}

/** Whether an error says which fields are wrong. */
export const hasFields = (error: unknown): error is Error & Pick<Refusal, 'fields'> =>
  error instanceof Error && 'fields' in error && Array.isArray(error.fields);
