import { defineStore } from 'pinia';
import { ref } from 'vue';

/** Which plan was opened last in this window; empty for none. The navigation leads back to it. */
export const useOpenPlan = defineStore('openPlan', () => ({ id: ref('') }));
