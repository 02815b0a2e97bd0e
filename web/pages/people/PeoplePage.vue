<script setup lang="ts">
import { computed } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { usePageTitle } from '../../ui/page-title';
import ViewTabs from '../../ui/ViewTabs.vue';
import { usePeople } from '../../state/people';
import GroupTable from './GroupTable.vue';
import PersonTable from './PersonTable.vue';

/** The people who are taught, and the groups they come in. */
const VIEWS = [
  { value: 'people', label: 'People' },
  { value: 'groups', label: 'Groups' },
] as const;
type View = (typeof VIEWS)[number]['value'];

const route = useRoute();
const router = useRouter();
const people = usePeople();
void people.load();
const view = computed<View>({
  get: () => (route.query.view === 'groups' ? 'groups' : 'people'),
  set: (value) => void router.replace({ query: value === 'people' ? {} : { view: value } }),
});
usePageTitle(() => [view.value === 'people' ? 'People' : 'Groups']);
</script>

<template>
  <main class="room">
    <header>
      <h1>People</h1>
      <ViewTabs v-model="view" label="View" :views="VIEWS" />
      <RouterLink to="/people/form" class="link-button end">Screening form on paper</RouterLink>
    </header>
    <p v-if="people.trouble" class="caution strong" role="alert">
      {{ people.trouble }} <button type="button" class="link-button" @click="people.load">Try again</button>
    </p>
    <div role="tabpanel" :aria-label="view === 'people' ? 'People' : 'Groups'">
      <PersonTable v-if="view === 'people'" />
      <GroupTable v-else />
    </div>
  </main>
</template>

<style scoped>
.room {
  max-width: 1080px;
  padding: 18px 32px 40px;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  align-items: center;
}
h1 {
  font-size: 27px;
  line-height: 34px;
}
.end {
  margin-left: auto;
}
@media (width < 640px) {
  .room {
    padding: 12px 16px;
  }
}
</style>
