import { watchDebounced } from '@vueuse/core';
import { computed, ref, shallowRef } from 'vue';
import { ID_MARK } from '#core/body';
import { handoutOf, handoutPage, homePlan, type HandoutFigure } from '#core/exchange';
import type { ForWhom } from '#core/heights';
import type { Plan } from '#core/plan';
import { drawFigure } from '../../../widgets/figures/figures';
import { requestFor } from '../../../widgets/figures/use-figure';
import { useLibrary } from '../../../state/library';
import type { Written } from '../../../widgets/share/written';

/** What a page for a student is made of. */
export interface HandoutWish {
  plan: Plan;
  /** The teacher’s words above it. */
  words: string;
  /** With things found at home in the place of props. */
  household: boolean;
  /** The body that the figures are drawn for, where it is known. */
  body: ForWhom | undefined;
}

/** The program and the look of the page, as they were built. Throws if they cannot be had. */
const built = async (name: string): Promise<string> => {
  const answer = await fetch(`/handout/${name}`);
  if (!answer.ok)
    throw new Error('The page cannot be put together: a part of Zovrin is missing. Reload, and try again.');
  return answer.text();
};

/** A page for a student, put together anew whenever what is wanted changes. */
export function useHandout(wanted: () => HandoutWish | undefined) {
  const library = useLibrary();
  const wish = computed(wanted);
  const made = shallowRef<{ of: HandoutWish; page: Written }>();
  /** The page, as long as it is what is wanted: never one that was made for somebody else. */
  const page = computed(() => (made.value && made.value.of === wish.value ? made.value.page : undefined));
  const trouble = ref('');

  /** The figures of a plan in the order of its steps; where one cannot be drawn, the words do alone. */
  function figuresOf({ steps }: Plan, body: ForWhom | undefined): Promise<(HandoutFigure | undefined)[]> {
    return Promise.all(
      steps.map(async (step, i) => {
        if (step.kind !== 'hold') return undefined;
        const position = library.all.position(step.position);
        const request = requestFor({ position, setUp: step.setUp, ...(body && { body }) });
        const drawn = request && (await drawFigure(request).catch(() => undefined));
        return drawn && { svg: drawn.svg.replaceAll(ID_MARK, `f${i}`), box: drawn.box };
      }),
    );
  }

  let latest = 0;
  async function make(): Promise<void> {
    const now = wish.value;
    const turn = ++latest;
    if (!now) return;
    try {
      const plan = homePlan(now.plan, library.all, now.household);
      const [figures, script, style] = await Promise.all([
        figuresOf(plan, now.body),
        built('handout.js'),
        built('handout.css'),
      ]);
      if (turn !== latest) return;
      const text = handoutPage(handoutOf(plan, library.all, now.words), { figures, script, style });
      made.value = { of: now, page: { text, ending: '.html', type: 'text/html' } };
      trouble.value = '';
    } catch (error) {
      if (turn === latest) [made.value, trouble.value] = [undefined, (error as Error).message];
    }
  }
  watchDebounced(wish, make, { debounce: 250, immediate: true, deep: false });
  return { page, trouble };
}
