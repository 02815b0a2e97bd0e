<script setup lang="ts">
import InputText from 'primevue/inputtext';
import { useId } from 'vue';
import FieldReason from '../fields/FieldReason.vue';
import FilledIn from './FilledIn.vue';
import FormValue from './FormValue.vue';

/** A line of text in a form; with `secret` it is not shown. */
const {
  name,
  label,
  placeholder = '',
  secret = false,
  autofocus = false,
  autocomplete = 'off',
  numeric = false,
  suggested,
} = defineProps<{
  name: string;
  label: string;
  placeholder?: string;
  secret?: boolean;
  autofocus?: boolean;
  autocomplete?: string;
  /** Digits are typed: a phone offers them first. */
  numeric?: boolean;
  /** What is filled in for as long as nothing else was typed. */
  suggested?: string;
}>();
const id = useId();
</script>

<template>
  <FormValue v-slot="{ value, set, problem }" :name="name">
    <span class="labelled">
      <label :for="id">{{ label }}</label>
      <FilledIn v-if="suggested !== undefined" :value="String(value ?? '')" :suggested="suggested" :set="set" />
      <InputText
        :id="id"
        :model-value="String(value ?? '')"
        :type="secret ? 'password' : 'text'"
        :placeholder="placeholder"
        :autofocus="autofocus"
        :autocomplete="autocomplete"
        :inputmode="numeric ? 'numeric' : undefined"
        :invalid="problem !== ''"
        :aria-invalid="problem !== ''"
        :aria-describedby="problem === '' ? undefined : `${id}-reason`"
        @update:model-value="set"
      />
      <FieldReason v-if="problem !== ''" :id="`${id}-reason`">{{ problem }}</FieldReason>
    </span>
  </FormValue>
</template>
