import { useLocalStorage } from '@vueuse/core';

/** The teacher's name in this browser, shown beside decisions. */
export const useTeacherName = () => useLocalStorage('zovrin.teacher', 'teacher');
