<script setup lang="ts">
import { ref, useId } from 'vue';

/** One trend: its sentence, its chart, and the numbers behind it as a table. */
const { title, says, columns, rows } = defineProps<{
  title: string;
  says: string;
  columns: readonly string[];
  rows: readonly (readonly (string | number)[])[];
}>();
const open = ref(false);
const id = useId();
</script>

<template>
  <section :aria-labelledby="id">
    <h2 :id="id">{{ title }}</h2>
    <p>{{ says }}</p>
    <slot v-if="rows.length > 0" />
    <button v-if="rows.length > 0" type="button" class="link-button" :aria-expanded="open" @click="open = !open">
      {{ open ? 'Hide the numbers' : 'Show the numbers' }}
    </button>
    <div v-if="open && rows.length > 0" class="numbers">
      <table class="figures">
        <thead>
          <tr>
            <th v-for="(column, i) in columns" :key="column" scope="col" :class="{ number: i > 0 }">{{ column }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, r) in rows" :key="r">
            <template v-for="(value, i) in row" :key="i">
              <th v-if="i === 0" scope="row">{{ value }}</th>
              <td v-else class="number">{{ value }}</td>
            </template>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
section {
  min-width: 0;
  padding: 18px 0 12px;
  border-bottom: 1px solid var(--line);
}
p {
  padding: 2px 0 10px;
}
.numbers {
  max-height: 320px;
  overflow: auto;
}
</style>
