<script setup lang="ts">
import FormField from '@primevue/forms/formfield';
import { useRefusal } from './refusals';
import UnboundFields from './UnboundFields.vue';

/** One value of a form, for any field: the slot gets it, a function that sets it, and what is wrong with it. */
const { name } = defineProps<{ name: string }>();
defineSlots<{ default?: (props: { value: unknown; set: (value: unknown) => void; problem: string }) => unknown }>();
const refusal = useRefusal(() => name);

interface Field {
  value?: unknown;
  error?: { message: string } | null;
  props?: { onChange: (event: { value: unknown }) => void };
}
const asField = (field: unknown): Field => field as Field;
</script>

<template>
  <FormField v-slot="field" :name="name" as-child>
    <UnboundFields>
      <slot
        :value="asField(field).value"
        :set="(value: unknown) => asField(field).props?.onChange({ value })"
        :problem="asField(field).error?.message ?? refusal"
      />
    </UnboundFields>
  </FormField>
</template>
