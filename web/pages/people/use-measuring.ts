import { computed, onScopeDispose, ref } from 'vue';
import {
  breathsOfTurns,
  MIN_BREATHS,
  simulatedBreather,
  strainLimit,
  strainOf,
  type Breather,
  type BreathMeasure,
  type MeasuredPart,
} from '#core/breath';
import type { Ms } from '#core/numbers';

type HoldKind = 'holdFull' | 'holdEmpty';
type Stage = 'ready' | 'breathing' | 'looking' | 'holding';

/** A key or a finger that stays down longer than this is held through the in-breath; shorter, it is a tap. */
const HELD_MS = 400;

/**
 * Measuring an easy breath: turns are marked by a tap at each, or by holding through every in-breath; then, if
 * wanted, some easy holds. A hold that is a strain is left out and ends the holds. `now` is the clock in milliseconds.
 */
export function useMeasuring(now: () => Ms = Date.now) {
  const stage = ref<Stage>('ready');
  const turns = ref<Ms[]>([]);
  const left = ref<ReadonlySet<string>>(new Set());
  const holds = ref<Record<HoldKind, number[]>>({ holdFull: [], holdEmpty: [] });
  const holding = ref<{ kind: HoldKind; fromMs: Ms }>();
  const strain = ref('');
  let downAt: Ms | undefined;
  let timer: ReturnType<typeof setTimeout> | undefined;

  const breaths = computed(() => breathsOfTurns(turns.value));
  const count = computed(() => breaths.value.in.length);
  const enough = computed(() => count.value >= MIN_BREATHS);
  /** Whether an in-breath is under way; otherwise an out-breath, once it has begun. */
  const breathingIn = computed(() => turns.value.length % 2 === 1);
  /** The single values, without those that were left out. */
  const values = computed((): Pick<BreathMeasure, MeasuredPart> => {
    const keep = (part: MeasuredPart, all: readonly number[]) => all.filter((_, i) => !left.value.has(`${part} ${i}`));
    return {
      in: keep('in', breaths.value.in),
      out: keep('out', breaths.value.out),
      holdFull: keep('holdFull', holds.value.holdFull),
      holdEmpty: keep('holdEmpty', holds.value.holdEmpty),
    };
  });

  function turn(): void {
    if (stage.value === 'ready') stage.value = 'breathing';
    if (stage.value === 'breathing') turns.value = [...turns.value, now()];
  }
  /** A key or finger goes down: an in-breath begins, or, tapped, the out-breath. */
  function down(): void {
    if (downAt !== undefined) return;
    downAt = now();
    if (stage.value === 'holding') endHold();
    else turn();
  }
  /** It comes up: where it was held, the out-breath begins. */
  function up(): void {
    const held = downAt !== undefined && now() - downAt >= HELD_MS;
    downAt = undefined;
    if (held && stage.value === 'breathing' && breathingIn.value) turn();
  }
  function finish(): void {
    stopSimulating();
    if (enough.value) stage.value = 'looking';
  }
  function beginHold(kind: HoldKind): void {
    holding.value = { kind, fromMs: now() };
    stage.value = 'holding';
  }
  function endHold(): void {
    if (!holding.value) return;
    const { kind, fromMs } = holding.value;
    const seconds = Math.round(now() - fromMs) / 1000;
    holding.value = undefined;
    stage.value = 'looking';
    // Let go at once: a slip of the finger is no hold.
    if (seconds < 1) return;
    strain.value = strainOf(holds.value[kind], seconds) ?? '';
    if (strain.value === '') holds.value = { ...holds.value, [kind]: [...holds.value[kind], seconds] };
    else stopSimulating();
  }
  /** To be asked often while holding: a hold that becomes a strain is ended at once, kindly. */
  function minded(): void {
    const limit = holding.value && strainLimit(holds.value[holding.value.kind]);
    if (holding.value && limit !== undefined && now() - holding.value.fromMs > limit * 1000 + 50) endHold();
  }
  /** Leaves a single value out, or takes it in again. */
  function toggle(part: MeasuredPart, index: number): void {
    const key = `${part} ${index}`;
    const next = new Set(left.value);
    if (!next.delete(key)) next.add(key);
    left.value = next;
  }
  function again(): void {
    stopSimulating();
    simulated.value = false;
    [stage.value, turns.value, strain.value, holding.value] = ['ready', [], '', undefined];
    [left.value, holds.value] = [new Set(), { holdFull: [], holdEmpty: [] }];
  }

  const SIMULATED_BREATHS = 7;
  const simulating = ref(false);
  /** These values are simulated: they are nobody's breath, and are not saved. */
  const simulated = ref(false);
  function stopSimulating(): void {
    clearTimeout(timer);
    simulating.value = false;
  }
  /** Lets a simulated breather tap: some breaths, then three holds of each kind until one is a strain. */
  function simulate(breather: Breather, seed = 1): void {
    again();
    [simulating.value, simulated.value] = [true, true];
    const someone = simulatedBreather(breather, seed);
    const after = (seconds: number, then: () => void): void => {
      timer = setTimeout(then, seconds * 1000);
    };
    const hold = (kind: HoldKind, more: number): void => {
      beginHold(kind);
      after(someone.hold(kind), () => {
        endHold();
        if (strain.value !== '') return;
        if (more > 1) after(2, () => hold(kind, more - 1));
        else if (kind === 'holdFull') after(2, () => hold('holdEmpty', 3));
        else stopSimulating();
      });
    };
    const breathe = (more: number): void => {
      turn();
      if (more === 0) {
        stage.value = 'looking';
        after(2, () => hold('holdFull', 3));
        return;
      }
      const breath = someone.breath();
      after(breath.in, () => {
        turn();
        after(breath.out, () => breathe(more - 1));
      });
    };
    breathe(SIMULATED_BREATHS);
  }
  onScopeDispose(stopSimulating);

  return {
    stage,
    count,
    enough,
    breathingIn,
    breaths,
    holds,
    holding,
    strain,
    values,
    simulating,
    simulated,
    isLeftOut: (part: MeasuredPart, index: number): boolean => left.value.has(`${part} ${index}`),
    down,
    up,
    finish,
    beginHold,
    endHold,
    minded,
    toggle,
    again,
    simulate,
    stopSimulating,
  };
}

export type Measuring = ReturnType<typeof useMeasuring>;
