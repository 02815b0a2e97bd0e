import { useEventListener } from '@vueuse/core';
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue';
import type { Plan } from '#core/plan';
import type { RunEvent } from '#core/run';
import type { StoredPlan } from '#api';
import { eventsAfter } from '../../client/runs';
import { newId } from '../../client/new-id';
import { excludedMs } from '../../widgets/session/clock-offset';
import { storeLocalRun, ledBy, makeOutbox, mergedRun, readLocalRun, type LocalRun } from '../../sync/event-outbox';
import type { SessionClock } from '../../widgets/session/session-clock';

type Body<E> = E extends RunEvent ? Omit<E, 'id' | 'atMs' | 'window'> : never;
export type NewRunEvent = Body<RunEvent>;

/** How often the server is asked whether the session went on elsewhere. */
const ASK_LEADING_MS = 5000;
const ASK_FOLLOWING_MS = 2000;

/** The leadership of a session before its page opens: who leads it, and the name of this window. */
export interface InitialLeadership {
  /** The name of this window. */
  me: string;
  /** The session that is under way, if there is one. */
  run: LocalRun | undefined;
  /** It is led in another window that is open, or on another device. */
  elsewhere: boolean;
  /** A session of this browser that was never ended and in which nothing has happened for hours. */
  leftRunning?: LocalRun;
}

/**
 * The events of a session, in this browser and on the server, with one window that leads: it alone adds to them, and
 * every other that has the session open follows. Whoever takes the lead says so in the events, so that all know.
 */
export function useLedRun(stored: StoredPlan, plan: Plan, clock: SessionClock, first: InitialLeadership) {
  const { me } = first;
  const local = shallowRef<LocalRun | undefined>(clock.rehearsal ? undefined : first.run);
  const leading = ref(clock.rehearsal || !first.elsewhere);
  const outboxTrouble = ref('');
  const isStorageFull = ref(false);
  const trouble = computed(
    () =>
      outboxTrouble.value ||
      (isStorageFull.value ? 'This browser has no room to keep the session; it is only sent to the server.' : ''),
  );
  const outbox = makeOutbox(
    () => (leading.value ? local.value : undefined),
    (text) => {
      outboxTrouble.value = text;
    },
    (run) => take(run),
    clock.now,
  );

  /** Adopts the events of another window or device. */
  function take(run: LocalRun): void {
    local.value = run;
    clock.leaveOut(excludedMs(run.events, me));
    const by = ledBy(run.events);
    if (by !== '' && by !== me) leading.value = false;
  }

  function add(body: NewRunEvent): void {
    const base: LocalRun = local.value ?? {
      id: newId(),
      planId: stored.id,
      planRevision: stored.revision,
      plan,
      events: [],
      acknowledged: 0,
    };
    const event = { ...body, id: newId(), atMs: clock.now(), window: me } as RunEvent;
    local.value = { ...base, events: [...base.events, event] };
    // A rehearsal is not stored.
    if (clock.rehearsal) return;
    isStorageFull.value = !storeLocalRun(local.value);
    void outbox.send();
  }
  /** Adds an event, where this window leads. Returns whether it did. */
  function happen(body: NewRunEvent): boolean {
    if (!leading.value) return false;
    const storedRun = local.value && !clock.rehearsal ? readLocalRun(local.value) : undefined;
    // Another window has taken the lead, and the browser has not said so yet.
    if (storedRun && ![me, ''].includes(ledBy(storedRun.events))) {
      take(storedRun);
      return false;
    }
    add(body);
    if (body.kind === 'started' && !clock.rehearsal) add({ kind: 'led', by: me });
    return true;
  }
  /** Leads from here on; the window that led follows. */
  function lead(): void {
    leading.value = true;
    if (!local.value) return;
    add({ kind: 'led', by: me });
    // This device's clock differs from the one the session began with: it must still do so after a reload.
    const byMs = clock.leftOutMs() - excludedMs(local.value.events, me);
    if (byMs !== 0) add({ kind: 'clockSet', byMs });
  }

  // Reported by the browser whenever another window has kept something.
  useEventListener(window, 'storage', () => {
    const storedRun = local.value && readLocalRun(local.value);
    if (storedRun && storedRun.events.length > (local.value?.events.length ?? 0)) take(storedRun);
    else if (storedRun && ledBy(storedRun.events) !== ledBy(local.value?.events ?? [])) take(storedRun);
  });

  let request = 0;
  let asking = false;
  /** Call at every tick: it polls the server now and then for events from elsewhere. */
  async function listen(): Promise<void> {
    const run = local.value;
    const every = leading.value ? ASK_LEADING_MS : ASK_FOLLOWING_MS;
    if (!run || clock.rehearsal || asking || performance.now() - request < every) return;
    // Nothing of it has arrived there yet.
    if (leading.value && run.acknowledged === 0) return;
    [asking, request] = [true, performance.now()];
    try {
      // Kept apart: what is sent meanwhile moves the number on in the run itself.
      const { acknowledged } = run;
      const { events: fresh, nowMs } = await eventsAfter(run.id, acknowledged);
      const now = local.value;
      if (now?.id !== run.id || now.acknowledged !== acknowledged) return;
      if (fresh.length > 0) {
        const merged = mergedRun(now, fresh);
        take(merged);
        if (leading.value) storeLocalRun(merged);
      }
      if (!leading.value && nowMs !== null) clock.sync(nowMs);
    } catch {
      // It is asked again; what happens here is kept meanwhile.
    } finally {
      asking = false;
    }
  }

  if (leading.value && local.value && !clock.rehearsal) {
    if (ledBy(local.value.events) !== me) add({ kind: 'led', by: me });
    else void outbox.send();
  }
  onBeforeUnmount(() => outbox.stop());
  return { local, leading, trouble, happen, lead, listen };
}
