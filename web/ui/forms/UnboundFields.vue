<script setup lang="ts">
import { provide } from 'vue';

/**
 * Fields that do not bind themselves to the form’s value around them, as PrimeVue’s do where they find one: a value
 * may be more than what one field holds.
 */
provide('$pcFormField', undefined);
provide('$pcForm', undefined);
</script>

<template><slot /></template>
