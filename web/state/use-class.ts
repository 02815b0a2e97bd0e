import { computed, onScopeDispose, shallowRef, toValue, watch, type MaybeRefOrGetter } from 'vue';
import {
  type ClassPeople,
  classMatrix,
  decidedAt,
  insteadOf,
  NOTHING_DECIDED,
  peopleOn,
  readClassPeople,
  rulesOf,
  versionFor,
  wholeCaution,
  withInstead,
  withoutDecision,
  withGuest,
  withoutPerson,
  withCheckIn,
  withSeen,
  type Cell,
  type Guest,
} from '#core/caution';
import { personCondition } from '#core/people';
import type { Plan, Step } from '#core/plan';
import { decisionsOf } from '../client/documents';
import { newId } from '../client/new-id';
import { today } from './days';
import { sourceOf } from '../sync/source';
import { syncedDocument } from '../sync/synced-document';
import { useKnowledge } from './knowledge';
import { useLibrary } from './library';
import { usePeople } from './people';
import { useTeacherName } from './teacher-name';

const decisionsFor = (planId: string) =>
  syncedDocument<ClassPeople, ClassPeople>({
    ...sourceOf(`class.${planId}`, readClassPeople, decisionsOf(planId)),
    initial: NOTHING_DECIDED,
    keyOf: decidedAt,
  });

export type TheClass = ReturnType<typeof useClass>;

/**
 * The people of a plan’s group compared with it, with what was decided for them; read when a group is chosen.
 * @param withGuests read without a group too: anybody may come to a class that is led
 */
export function useClass(
  planId: MaybeRefOrGetter<string>,
  planOf: MaybeRefOrGetter<Plan | undefined>,
  withGuests = false,
) {
  const people = usePeople();
  const known = useKnowledge();
  const library = useLibrary();
  const teacher = useTeacherName();
  const synced = shallowRef<ReturnType<typeof decisionsFor>>();
  const plan = computed(() => toValue(planOf));

  watch(
    [() => toValue(planId), () => plan.value?.groupId ?? null],
    ([id, groupId], before) => {
      const isSame = id === before[0];
      const isRead = id !== '' && (groupId !== null || withGuests);
      if (isRead && synced.value && isSame) return;
      void synced.value?.close();
      synced.value = undefined;
      if (!isRead) return;
      void people.ready();
      synced.value = decisionsFor(id);
      void synced.value.ready();
    },
    { immediate: true },
  );

  onScopeDispose(() => void synced.value?.close());

  const group = computed(() => people.group(plan.value?.groupId ?? null));
  const members = computed(() => people.of(group.value?.members ?? []));
  /** The day of the class; today where none is set. */
  const day = computed(() => plan.value?.startsAt?.slice(0, 10) ?? today());
  const decided = computed(() => synced.value?.document.value ?? NOTHING_DECIDED);
  /** The group with what they said today, and today's guests. */
  const screened = computed(() => peopleOn(members.value, decided.value, today()));
  const matrix = computed(() =>
    plan.value && (group.value || screened.value.length > 0)
      ? classMatrix(plan.value, screened.value, decided.value, known.knowledge, day.value)
      : undefined,
  );

  /** The rules that apply to one of the group. */
  const activeFor = (personId: string) => {
    const person = screened.value.find(({ id }) => id === personId)?.person ?? people.byId.get(personId);
    return person ? rulesOf(person, known.knowledge, day.value).active : [];
  };
  /** The plan as one of the group does it. */
  const versionOf = (personId: string) =>
    plan.value && versionFor(plan.value, insteadOf(decided.value, personId), library.all);

  const change = (name: string, next: ClassPeople): string | undefined => synced.value?.change(name, next);
  const now = () => ({ by: teacher.value.trim() || 'teacher', at: new Date().toISOString() });
  const leave = (personId: string, stepId: string, { cautions }: Pick<Cell, 'cautions'>): string | undefined =>
    change(
      'acknowledge a caution',
      withSeen(decided.value, {
        personId,
        stepId,
        rules: cautions.flatMap(wholeCaution).map(({ rule }) => rule.id),
        ...now(),
      }),
    );
  const use = (personId: string, stepId: string, step: Step): string | undefined =>
    change('use this', withInstead(decided.value, { personId, stepId, step, ...now() }));
  const undecide = (personId: string, stepId: string): string | undefined =>
    change('as before', withoutDecision(decided.value, { personId, stepId }));

  const checkIns = computed(() => decided.value.checkIns.filter(({ on }) => on === today()));
  const guests = computed(() => decided.value.guests.filter(({ on }) => on === today()));
  /** What somebody says was new today: known conditions, by their ids. */
  const say = (personId: string, conditions: readonly string[]): string | undefined =>
    change(
      'check in',
      withCheckIn(decided.value, {
        personId,
        on: today(),
        conditions: conditions.map((condition) => personCondition(newId(), condition)),
      }),
    );
  const addGuest = (guest: Pick<Guest, 'id' | 'name'>, conditions: readonly string[]): string | undefined =>
    change(
      'add a guest',
      withGuest(decided.value, {
        ...guest,
        on: today(),
        conditions: conditions.map((condition) => personCondition(newId(), condition)),
      }),
    );
  /** As people are shown here; a guest by the first name. */
  const shown = (id: string): string => guests.value.find((one) => one.id === id)?.name ?? people.shown(id);
  const removeGuest = (id: string): string | undefined => change('remove a guest', withoutPerson(decided.value, id));
  return {
    checkIns,
    shown,
    say,
    guests,
    addGuest,
    removeGuest,
    screened,
    synced,
    group,
    members,
    day,
    decided,
    matrix,
    activeFor,
    versionOf,
    leave,
    use,
    undecide,
  };
}
