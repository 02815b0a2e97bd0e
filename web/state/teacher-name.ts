import { useLocalStorage } from '@vueuse/core';

/** As whom this browser’s teacher decides: stands beside what was seen and left. */
export const useTeacherName = () => useLocalStorage('zovrin.teacher', 'teacher');
