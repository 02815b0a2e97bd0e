import { useEventListener, useMutationObserver } from '@vueuse/core';

const FOCUSABLE =
  'a[href], button:not(:disabled), input:not(:disabled), select:not(:disabled), textarea:not(:disabled), [tabindex]:not([tabindex="-1"])';
/** These give the focus back themselves when they close. */
const OVER_THE_PAGE = '#overlays, [role="dialog"], .p-overlay-mask';

/** Where an element stood: each of its ancestors with its place among their children, from the nearest on. */
type Place = readonly { parent: Element; index: number }[];

function placeOf(element: Element): Place {
  const place: { parent: Element; index: number }[] = [];
  for (let at = element; at.parentElement; at = at.parentElement) {
    place.push({ parent: at.parentElement, index: [...at.parentElement.children].indexOf(at) });
  }
  return place;
}

/** What stands there now, or was next to it; the nearest of what was around it where that can have no focus. */
function nearest(place: Place): HTMLElement | undefined {
  const still = place.find(({ parent }) => parent.isConnected);
  if (!still) return undefined;
  const { parent, index } = still;
  const there = parent.children[Math.min(index, parent.children.length - 1)];
  const inside = there?.matches(FOCUSABLE) ? there : there?.querySelector(FOCUSABLE);
  if (inside instanceof HTMLElement) return inside;
  if (!(parent instanceof HTMLElement) || parent === document.body) return undefined;
  if (!parent.hasAttribute('tabindex')) parent.tabIndex = -1;
  return parent;
}

/**
 * Keeps the keyboard where it was when what had the focus is gone: a plan that was deleted, a solution that was
 * applied, a page that was left. The browser alone would begin again at the top of the page.
 */
export function keepFocus(): void {
  let last: { element: Element; place: Place } | undefined;
  useEventListener(document, 'focusin', ({ target }) => {
    const isKept = target instanceof Element && target.closest(OVER_THE_PAGE) === null;
    last = isKept ? { element: target, place: placeOf(target) } : undefined;
  });
  useMutationObserver(
    document.body,
    () => {
      if (!last || last.element.isConnected || document.activeElement !== document.body) return;
      const { place } = last;
      last = undefined;
      nearest(place)?.focus({ preventScroll: true });
    },
    { childList: true, subtree: true },
  );
}
