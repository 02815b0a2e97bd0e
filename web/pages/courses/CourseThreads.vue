<script setup lang="ts">
import { threadName, type Course, type Thread, type ThreadWeeks } from '#core/course';
import { useLibrary } from '../../state/library';
import AppIcon from '../../ui/AppIcon.vue';
import IconButton from '../../ui/IconButton.vue';
import ThreadCurve from './ThreadCurve.vue';
import { outcomeOf, threadInWords } from './words';

/** What grows in a course, each as a small curve with what it aims at and what stands in its way. */
const { course, threads, taught } = defineProps<{
  course: Course;
  threads: readonly ThreadWeeks[];
  taught: ReadonlySet<number>;
}>();
const emit = defineEmits<{
  /** Something is to be changed; without a thread, to be added. */
  ask: [thread?: Thread];
  remove: [id: string];
}>();
const library = useLibrary();
const nameOf = (thread: Thread): string => threadName(thread, course.base.plan, library.all);
</script>

<template>
  <section class="threads" aria-label="What grows">
    <article v-for="one in threads" :key="one.thread.id">
      <header>
        <h2>{{ nameOf(one.thread) }}</h2>
        <IconButton
          class="screen-only"
          icon="note"
          :size="14"
          :label="`Change how ${nameOf(one.thread)} grows`"
          @click="emit('ask', one.thread)"
        />
        <IconButton
          class="screen-only"
          icon="remove"
          :size="14"
          :label="`Remove ${nameOf(one.thread)}`"
          @click="emit('remove', one.thread.id)"
        />
      </header>
      <p class="small quiet">{{ threadInWords(one.thread, course) }}</p>
      <ThreadCurve v-if="one.thread.kind !== 'new'" :course="course" :thread="one" :taught="taught" />
      <p v-if="outcomeOf(one)" class="small caution">{{ outcomeOf(one) }}</p>
    </article>
    <div class="add screen-only">
      <p v-if="course.threads.length === 0" class="small quiet">
        Nothing grows yet: every {{ course.unit }} is as the first plan.
      </p>
      <button type="button" class="link-button" @click="emit('ask')">
        <AppIcon name="plus" :size="14" /> Add something that grows
      </button>
    </div>
  </section>
</template>

<style scoped>
.threads {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
  gap: 8px 40px;
  padding: 10px 0;
  border-top: 1px solid var(--line-strong);
  border-bottom: 1px solid var(--line-strong);
}
header {
  display: flex;
  gap: 2px;
  align-items: center;
}
h2 {
  overflow: hidden;
  font: 600 15px/20px var(--text);
  text-overflow: ellipsis;
}
.add {
  align-self: center;
}
.add button {
  display: inline-flex;
  gap: 6px;
  align-items: center;
}
@media print {
  .threads {
    gap: 4px 24px;
  }
}
</style>
