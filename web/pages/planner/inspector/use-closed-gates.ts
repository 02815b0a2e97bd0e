import { computed, shallowRef, watch } from 'vue';
import { ratiosOfPractice, type BreathPractice } from '#core/breath';
import type { Plan } from '#core/plan';
import { closedGates, ladderGates, type Practised } from '#core/review';
import { listPractisedOf } from '../../../client/practised';
import { useSettings } from '../../../state/settings';
import { latestOnly } from '../../../sync/latest';

/**
 * The rungs of the ladder that a practice asks for before the group of the plan has had enough easy sessions. Nothing for
 * a plan without a group, and until its record has come.
 */
export function useClosedGates(
  plan: () => Pick<Plan, 'group' | 'groupId'> | undefined,
  practice: () => BreathPractice,
) {
  const settings = useSettings();
  const sessions = shallowRef<readonly Practised[]>();
  const isLatest = latestOnly();
  const whose = computed(() => {
    const { group = '', groupId = null } = plan() ?? {};
    return { group, groupId };
  });
  watch(
    () => `${whose.value.groupId} ${whose.value.group}`,
    async () => {
      sessions.value = undefined;
      if (whose.value.groupId === null && whose.value.group === '') return;
      const latest = isLatest();
      // Without the record no gate is known to be closed; the planner itself says when the server cannot be reached.
      const found = await listPractisedOf(whose.value).catch(() => undefined);
      if (latest()) sessions.value = found;
    },
    { immediate: true },
  );
  return computed(() =>
    sessions.value
      ? closedGates(ratiosOfPractice(practice()), ladderGates(settings.current.breath.ladder, sessions.value))
      : [],
  );
}
