import isEqual from 'fast-deep-equal';
import { computed, ref, shallowRef, type ComputedRef, type Ref } from 'vue';
import {
  planOfWeek,
  recordOfCourse,
  withEdit,
  taughtWeeks,
  type Course,
  type CourseRecord,
  type CourseWeek,
  type EditScope,
} from '#core/course';
import type { FieldIssue } from '#core/document';
import type { Library } from '#core/catalogue';
import { applyEdit, undoKey, type Plan, type PlanEdit } from '#core/plan';
import { remainingEdit } from '#core/timeline';
import type { CourseSessionOnce } from '#api';
import { listCourseSessions } from '../client/courses';
import { newId } from '../client/new-id';
import { syncedDocument, type SyncedDocument } from '../sync/synced-document';
import { courseSource, useCourses } from './courses';
import { useLibrary } from './library';
import { planSource } from './plan-source';
import { useSettings } from './settings';

const SAVE_AFTER_MS = 700;

/** A document in which a plan is edited: what of it saves, undoes and tells of conflicts. */
type Synced = Pick<
  SyncedDocument<object>,
  | 'revision'
  | 'state'
  | 'savedAt'
  | 'trouble'
  | 'storageFull'
  | 'lastChange'
  | 'nextChange'
  | 'canUndo'
  | 'canRedo'
  | 'undo'
  | 'redo'
  | 'seal'
  | 'save'
  | 'resolve'
  | 'close'
>;

/** A plan that is open in the planner: a plan of its own, or a week of a course. */
export interface EditedPlan {
  synced: Synced;
  plan: ComputedRef<Plan | undefined>;
  /** What was saved elsewhere and does not go together with what was changed here, where this is a plan of its own. */
  conflict: ComputedRef<{ document: Plan; updatedAt?: string | undefined } | undefined>;
  opened: () => Promise<void>;
  /** Makes an edit. Returns the fields that would be wrong, and then nothing has changed. */
  edit: (change: PlanEdit) => FieldIssue[];
  week?: EditedWeek;
}

/** The edit of a week that was made last, with the course before it and after it. */
interface LastEdit {
  before: Course;
  after: Course;
  scope: EditScope;
  change: PlanEdit;
}

/** The week of a course that is open in the planner. */
interface EditedWeek {
  courseId: string;
  number: number;
  course: ComputedRef<Course | undefined>;
  derived: ComputedRef<CourseWeek | undefined>;
  /** How far the next edit goes. */
  scope: Ref<EditScope>;
  record: ComputedRef<CourseRecord | undefined>;
  /** Undefined where none was made yet, or where it was undone or followed by another change. */
  lastEdit: ComputedRef<LastEdit | undefined>;
  /** The course as it is where the last edit goes further; undefined where it cannot. */
  further: (scope: EditScope) => Course | undefined;
  goFurther: (scope: EditScope) => void;
  taught: ComputedRef<boolean>;
  /** The week before it as it was taught, where it was. */
  before: ComputedRef<{ plan: Plan; beganAtMs: number } | undefined>;
  conflict: ComputedRef<{ updatedAt?: string | undefined } | undefined>;
  /** Changes the course itself. Returns the reason if that is refused. */
  change: (name: string, next: Course) => string | undefined;
}

/** A plan of the server. */
export function editedPlanOf(id: string, library: { all: Library }): EditedPlan {
  const synced = syncedDocument<Plan>({ ...planSource(id), saveAfterMs: SAVE_AFTER_MS });
  const plan = synced.document as ComputedRef<Plan | undefined>;
  return {
    synced,
    plan,
    conflict: computed(() => synced.conflict.value),
    opened: synced.opened,
    edit(change) {
      if (!plan.value) return [];
      const result = applyEdit(plan.value, change);
      if (!result.ok) return result.issues;
      const merge = undoKey(change);
      // What takes the rest of the class follows every edit, as part of it.
      const remaining = remainingEdit(result.plan, library.all);
      const filled = remaining ? applyEdit(result.plan, remaining) : result;
      const next = filled.ok ? filled.plan : result.plan;
      synced.apply({ name: change.kind, edit: change, ...(merge === undefined ? {} : { merge }) }, next);
      return [];
    },
  };
}

/**
 * The plan of a week of a course, worked out anew with every edit; an edit becomes a difference of the week, of it and
 * all after it, or a change of the base, as `scope` says.
 */
export function editedWeekOf(courseId: string, number: number): EditedPlan {
  const library = useLibrary();
  const settings = useSettings();
  const courses = useCourses();
  const synced = syncedDocument<Course>({ ...courseSource(courseId, courses.changed), saveAfterMs: SAVE_AFTER_MS });
  const course = synced.document as ComputedRef<Course | undefined>;
  const sessions = shallowRef<readonly CourseSessionOnce[]>();
  const scope = ref<EditScope>('week');

  const record = computed(() => course.value && sessions.value && recordOfCourse(course.value, sessions.value));
  const workedOut = (of: Course): CourseWeek | undefined => {
    const { ladder, growth } = settings.current.breath;
    return record.value && planOfWeek(of, number, record.value, { library: library.all, ladder, growth });
  };
  const derived = computed(() => course.value && workedOut(course.value));
  const plan = computed(() => derived.value?.plan);

  const made = shallowRef<LastEdit>();
  const lastEdit = computed(() => (made.value && isEqual(course.value, made.value.after) ? made.value : undefined));
  /** Of what is typed in one field, the course before the first of it counts. */
  const isGoingOn = ({ scope: of, change: earlier }: LastEdit, change: PlanEdit): boolean =>
    of === scope.value && undoKey(change) !== undefined && undoKey(earlier) === undoKey(change);

  function edit(change: PlanEdit): FieldIssue[] {
    if (!course.value || !plan.value) return [];
    const here = applyEdit(plan.value, change);
    if (!here.ok) return here.issues;
    const edited = withEdit(course.value, number, scope.value, change, newId());
    if (!edited.ok) return edited.issues;
    const key = undoKey(change);
    const goesOn = lastEdit.value && isGoingOn(lastEdit.value, change);
    const before = goesOn ? lastEdit.value.before : course.value;
    const refused = synced.change(change.kind, edited.course, key === undefined ? undefined : `${scope.value} ${key}`);
    if (refused !== undefined) return [{ field: '', reason: refused }];
    made.value = { before, after: edited.course, scope: scope.value, change };
    return [];
  }
  function further(to: EditScope): Course | undefined {
    if (!lastEdit.value) return undefined;
    const { before, change } = lastEdit.value;
    const edited = withEdit(before, number, to, change, newId());
    return edited.ok ? edited.course : undefined;
  }
  function goFurther(to: EditScope): void {
    const [last, next] = [lastEdit.value, further(to)];
    if (!last || !next || synced.change('let an edit go further', next) !== undefined) return;
    made.value = { ...last, after: next, scope: to };
  }
  return {
    synced,
    plan,
    conflict: computed(() => undefined),
    async opened() {
      await Promise.all([
        settings.ready(),
        synced.opened(),
        listCourseSessions(courseId).then((found) => (sessions.value = found.sessions)),
      ]);
    },
    edit,
    week: {
      courseId,
      number,
      course,
      derived,
      scope,
      record,
      lastEdit,
      further,
      goFurther,
      taught: computed(() => record.value?.taught.some(({ week }) => week === number) ?? false),
      before: computed(() => {
        const earlier = course.value && taughtWeeks(course.value).findLast((week) => week < number);
        const session = sessions.value?.findLast(({ week, plan: led }) => week === earlier && led !== null);
        return session?.plan ? { plan: session.plan, beganAtMs: session.beganAtMs } : undefined;
      }),
      conflict: computed(() => synced.conflict.value),
      change: (name, next) => synced.change(name, next),
    },
  };
}
