<script setup lang="ts">
import Dialog from 'primevue/dialog';
import { SHORTCUTS } from './shortcuts';

const visible = defineModel<boolean>('visible', { required: true });
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    header="Keyboard"
    dismissable-mask
    :style="{ width: '720px' }"
    :pt="{ content: { tabindex: 0 } }"
  >
    <div class="rooms">
      <section v-for="{ room, keys } in SHORTCUTS" :key="room">
        <h3>{{ room }}</h3>
        <dl>
          <div v-for="{ press, does } in keys" :key="does">
            <dt>
              <kbd v-for="key in press" :key="key">{{ key }}</kbd>
            </dt>
            <dd>{{ does }}</dd>
          </div>
        </dl>
      </section>
    </div>
  </Dialog>
</template>

<style scoped>
.rooms {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: 24px;
}
h3 {
  font-size: 19px;
  margin-bottom: 8px;
}
dl,
dd {
  margin: 0;
}
dl > div {
  display: grid;
  grid-template-columns: 120px 1fr;
  gap: 12px;
  padding: 5px 0;
  border-top: 1px solid var(--line);
}
dt {
  display: flex;
  gap: 4px;
}
</style>
