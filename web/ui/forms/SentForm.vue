<script setup lang="ts" generic="S extends z.ZodType<Record<string, unknown>, Record<string, unknown>>">
import Form, { type FormSubmitEvent } from '@primevue/forms/form';
import { zodResolver } from '@primevue/forms/resolvers/zod';
import { nextTick, ref, useTemplateRef } from 'vue';
import type { z } from 'zod';
import { hasFields, provideRefusals } from './refusals';

/**
 * A form that is filled in and then sent. It is checked by the shape the server checks it by: when it is sent, and from
 * then on while one types. What is wrong stands at its field, also what only the server can know; the first such field
 * has the focus, and what was typed stays.
 */
const { schema, initial, send } = defineProps<{
  schema: S;
  initial: z.input<S>;
  /** Sends what was typed. Rejects with the reason where it is refused; `fields` of the error name what is wrong where. */
  send: (values: z.output<S>) => Promise<void> | void;
}>();

defineSlots<{ default: (props: { busy: boolean; fields: Readonly<Record<string, unknown>> }) => unknown }>();

const form = useTemplateRef<{ $el: HTMLFormElement }>('form');
const tried = ref(false);
const busy = ref(false);
const refused = ref<Readonly<Record<string, string>>>({});
const trouble = ref('');
provideRefusals((name) => refused.value[name] ?? '');

/** Puts the focus into the first field with a problem, once it is shown; whether there is one. */
async function focusProblem(): Promise<boolean> {
  await nextTick();
  const field = form.value?.$el.querySelector<HTMLElement>('[aria-invalid="true"]');
  field?.focus();
  return field !== null && field !== undefined;
}
async function submit({ valid, values }: FormSubmitEvent): Promise<void> {
  if (busy.value) return;
  busy.value = true;
  tried.value = true;
  [refused.value, trouble.value] = [{}, ''];
  try {
    // Also a field that could not read what was typed: its value is not among those that were checked.
    if ((await focusProblem()) || !valid) return;
    await send(values as z.output<S>);
  } catch (error) {
    const fields = hasFields(error) ? error.fields : [];
    refused.value = Object.fromEntries(fields.map(({ field, reason }) => [field, reason]));
    trouble.value = fields.length === 0 ? (error as Error).message : '';
    await focusProblem();
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <Form
    ref="form"
    v-slot="fields"
    :resolver="zodResolver(schema)"
    :initial-values="initial"
    :validate-on-value-update="tried"
    novalidate
    class="sent-form"
    @submit="submit"
  >
    <slot :busy="busy" :fields="fields" />
    <p v-if="trouble" class="caution" role="alert">{{ trouble }}</p>
  </Form>
</template>

<style scoped>
.sent-form {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 14px;
  align-items: end;
}
[role='alert'] {
  flex-basis: 100%;
}
</style>
