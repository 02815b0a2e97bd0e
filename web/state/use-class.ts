import { computed, shallowRef, toValue, watch, type MaybeRefOrGetter } from 'vue';
import {
  ClassPeople,
  classMatrix,
  decidedAt,
  insteadOf,
  NOTHING_DECIDED,
  readClassPeople as read,
  rulesOf,
  versionFor,
  withInstead,
  withoutDecision,
  withSeen,
  type Cell,
} from '#core/caution';
import type { Plan, Step } from '#core/plan';
import { classConflictOf, readClassPeople, saveClassPeople } from '../client/people';
import { today } from './days';
import { keptDocument } from '../sync/kept-document';
import { useKnowledge } from './knowledge';
import { useLibrary } from './library';
import { usePeople } from './people';
import { useTeacherName } from './teacher-name';

const keptOf = (planId: string) =>
  keptDocument<ClassPeople>({
    unsentKey: `zovrin.class.${planId}.unsent`,
    start: NOTHING_DECIDED,
    schema: ClassPeople,
    read,
    fetch: () => readClassPeople(planId),
    send: (revision, document) => saveClassPeople(planId, revision, document),
    conflictOf: classConflictOf,
    keyOf: decidedAt,
  });

/** The people of a plan’s group held against it, with what was decided for them; read when a group is chosen. */
export function useClass(planId: MaybeRefOrGetter<string>, planOf: MaybeRefOrGetter<Plan | undefined>) {
  const people = usePeople();
  const known = useKnowledge();
  const library = useLibrary();
  const teacher = useTeacherName();
  const kept = shallowRef<ReturnType<typeof keptOf>>();
  const plan = computed(() => toValue(planOf));

  watch(
    [() => toValue(planId), () => plan.value?.groupId ?? null],
    ([id, groupId], before) => {
      if (groupId === null || id === '') kept.value = undefined;
      else if (!kept.value || id !== before[0]) {
        void people.ready();
        kept.value = keptOf(id);
        void kept.value.ready();
      }
    },
    { immediate: true },
  );

  const group = computed(() => people.group(plan.value?.groupId ?? null));
  const members = computed(() => people.of(group.value?.members ?? []));
  /** The day of the class; today where none is set. */
  const day = computed(() => plan.value?.startsAt?.slice(0, 10) ?? today());
  const decided = computed(() => kept.value?.document.value ?? NOTHING_DECIDED);
  const matrix = computed(() =>
    plan.value && group.value
      ? classMatrix(plan.value, members.value, decided.value, known.knowledge, day.value)
      : undefined,
  );

  /** The rules that apply to one of the group. */
  const activeFor = (personId: string) => {
    const person = people.byId.get(personId);
    return person ? rulesOf(person, known.knowledge, day.value).active : [];
  };
  /** The plan as one of the group does it. */
  const versionOf = (personId: string) =>
    plan.value && versionFor(plan.value, insteadOf(decided.value, personId), library.all);

  const change = (name: string, next: ClassPeople): string | undefined => kept.value?.change(name, next);
  const now = () => ({ by: teacher.value.trim() || 'teacher', at: new Date().toISOString() });
  const leave = (personId: string, stepId: string, { cautions }: Pick<Cell, 'cautions'>): string | undefined =>
    change(
      'leave it',
      withSeen(decided.value, { personId, stepId, rules: cautions.map(({ rule }) => rule.id), ...now() }),
    );
  const use = (personId: string, stepId: string, step: Step): string | undefined =>
    change('use this', withInstead(decided.value, { personId, stepId, step, ...now() }));
  const undecide = (personId: string, stepId: string): string | undefined =>
    change('as before', withoutDecision(decided.value, { personId, stepId }));

  return { kept, group, members, day, decided, matrix, activeFor, versionOf, leave, use, undecide };
}
