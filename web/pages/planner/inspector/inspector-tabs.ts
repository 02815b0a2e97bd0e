import { computed, inject, provide, ref, toValue, type InjectionKey, type MaybeRefOrGetter, type Ref } from 'vue';

/** The parts of the inspector. `main` is what the step itself is: its hold or its breath. */
export type InspectorTab = 'main' | 'props' | 'cues' | 'breath' | 'cautions' | 'about';

const TAB: InjectionKey<Ref<InspectorTab>> = Symbol('the open tab of the inspector');

/** Keeps the open tab for the steps of a page: whoever goes through the steps stays at what they came for. */
export function provideInspectorTab(): Ref<InspectorTab> {
  const tab = ref<InspectorTab>('main');
  provide(TAB, tab);
  return tab;
}

/** The open tab; `main` where a step of this kind does not have the one that was open last. */
export function useInspectorTab(tabs: MaybeRefOrGetter<readonly InspectorTab[]>): Ref<InspectorTab> {
  const tab = inject(TAB, () => ref<InspectorTab>('main'), true);
  return computed({
    get: () => (toValue(tabs).includes(tab.value) ? tab.value : 'main'),
    set: (chosen) => (tab.value = chosen),
  });
}
