import { computed, shallowRef, toValue, watch, type MaybeRefOrGetter } from 'vue';
import { ORDINARY, REFERENCE_HEIGHT_CM, type View } from '#core/body';
import type { Position } from '#core/catalogue';
import type { ForWhom } from '#core/heights';
import { placedProps, type SetUp } from '#core/props';
import { drawFigure, useStandardFigures } from './figures';
import type { DrawnFigure, FigureRequest, MeasuredFigure } from '../../workers/drawing-request';

/** The body a figure is drawn for where no other is chosen. */
const STANDARD_BODY: ForWhom = { statureCm: REFERENCE_HEIGHT_CM, flexibility: ORDINARY };

interface Wanted {
  position: Position | undefined;
  setUp: SetUp;
  view?: View;
  body?: ForWhom;
  coarse?: boolean;
}

/** What is asked of the worker for a position with a set-up; nothing for a position without a figure. */
export function requestFor({
  position,
  setUp,
  view,
  body = STANDARD_BODY,
  coarse = false,
}: Wanted): FigureRequest | undefined {
  if (!position) return undefined;
  const { figure } = position;
  return { figure, props: placedProps(setUp, 'left'), ...body, view: view ?? figure.view, coarse };
}

/**
 * A figure drawn in the worker whenever what is wanted changes; the last one stays until the next is there. While one
 * is being drawn only the newest wish waits: a slider that moves faster than the worker draws leaves none behind.
 */
export function useDrawnFigure(wanted: MaybeRefOrGetter<FigureRequest | undefined>) {
  const drawn = shallowRef<MeasuredFigure>();
  const trouble = shallowRef('');
  let drawing = false;
  async function drawNewest(): Promise<void> {
    if (drawing) return;
    drawing = true;
    let last: FigureRequest | undefined;
    do {
      last = toValue(wanted);
      try {
        drawn.value = last && (await drawFigure(last));
        trouble.value = '';
      } catch {
        trouble.value = 'This figure cannot be drawn.';
      }
    } while (JSON.stringify(toValue(wanted)) !== JSON.stringify(last));
    drawing = false;
  }
  watch(() => toValue(wanted), drawNewest, { immediate: true });
  return { drawn, trouble };
}

const isStandard = (body: ForWhom): boolean => JSON.stringify(body) === JSON.stringify(STANDARD_BODY);
const kinds = (setUp: SetUp) =>
  setUp.map(({ kind, state, lie, place, side, count }) => [kind, state, lie, place, side, count].join()).join(';');

/** A position with a set-up as it usually stands: ready where it ships so, else from the worker. */
export function usePositionFigure(wanted: MaybeRefOrGetter<Pick<Wanted, 'position' | 'setUp' | 'body'>>) {
  const standard = useStandardFigures();
  const ready = computed((): DrawnFigure | undefined => {
    const { position, setUp, body = STANDARD_BODY } = toValue(wanted);
    if (!isStandard(body)) return undefined;
    const usual = position?.setUps[0]?.items;
    return position && usual && kinds(usual) === kinds(setUp) ? standard.value?.[position.id] : undefined;
  });
  const { drawn } = useDrawnFigure(() => (ready.value || !standard.value ? undefined : requestFor(toValue(wanted))));
  return computed(() => ready.value ?? drawn.value);
}
