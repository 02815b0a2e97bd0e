import { computed, shallowRef, type ComputedRef } from 'vue';
import { alsoCalled } from '#library/synonyms';
import type { ListedPlan } from '#api';
import { listAllPlans } from '../../client/plans';
import { useCourses } from '../../state/courses';
import { useDeviceSettings } from '../../state/device-settings';
import { useLibrary } from '../../state/library';
import { useLock } from '../../state/lock';
import { usePeople } from '../../state/people';
import { usePlaces } from '../../state/places';
import { useSettings } from '../../state/settings';
import type { Findable } from './find-anything';

const PAGES: readonly Findable[] = [
  { kind: 'page', label: 'Plans', names: ['home', 'start'], to: '/' },
  { kind: 'page', label: 'Courses', names: ['series', 'weeks', 'term'], to: '/courses' },
  { kind: 'page', label: 'History', names: ['sessions', 'record', 'taught'], to: '/history' },
  { kind: 'page', label: 'Trends', names: ['weeks', 'minutes', 'areas'], to: '/history/trends' },
  { kind: 'page', label: 'People', names: ['students'], to: '/people' },
  { kind: 'page', label: 'Groups', to: '/people?view=groups' },
  { kind: 'page', label: 'Screening form on paper', names: ['form'], to: '/people/form' },
  { kind: 'page', label: 'Library', names: ['positions', 'poses', 'breaths'], to: '/library' },
  { kind: 'page', label: 'Props & places', names: ['cupboard', 'stock', 'rooms'], to: '/places' },
  { kind: 'page', label: 'Settings', names: ['preferences', 'options'], to: '/settings' },
  {
    kind: 'page',
    label: 'Display settings',
    names: ['theme', 'dates', 'clock', 'units'],
    to: '/settings?group=display',
  },
  { kind: 'page', label: 'Breath settings', names: ['ladder', 'ratios', 'limits'], to: '/settings?group=breath' },
  { kind: 'page', label: 'Lock settings', names: ['passphrase', 'password'], to: '/settings?group=lock' },
  { kind: 'page', label: 'How it works', names: ['help', 'glossary', 'about', 'version'], to: '/help' },
  { kind: 'page', label: 'Bin', names: ['deleted', 'trash', 'restore'], to: '/bin' },
];

/** Everything that can be found from anywhere: pages, actions, plans, places, the library, and people if they are open. */
export function useFindables(actions: readonly Findable[]): {
  all: ComputedRef<Findable[]>;
  load: () => Promise<void>;
} {
  const library = useLibrary();
  const settings = useSettings();
  const lock = useLock();
  const [people, places, device, courses] = [usePeople(), usePlaces(), useDeviceSettings(), useCourses()];
  const plans = shallowRef<readonly ListedPlan[]>([]);

  /** Asks for what may have changed since the last time; what cannot be had is not offered. */
  async function load(): Promise<void> {
    await Promise.allSettled([
      listAllPlans().then((found) => (plans.value = found)),
      places.ready(),
      courses.ready(),
      lock.locked ? undefined : people.ready(),
    ]);
  }

  const all = computed((): Findable[] => [
    ...PAGES,
    ...actions,
    {
      kind: 'action',
      label: device.night ? 'Switch to the light theme' : 'Switch to the night theme',
      names: ['dark'],
      to: device.toggleTheme,
    },
    ...(lock.state.set ? [{ kind: 'action', label: 'Lock now', to: () => void lock.lock() }] : []),
    ...plans.value.map(({ id, summary }) => ({
      kind: summary.archived ? 'archived plan' : 'plan',
      label: summary.title,
      names: [summary.group, ...summary.tags],
      to: `/plans/${id}`,
    })),
    ...(lock.locked
      ? []
      : [
          ...(people.people ?? []).map(({ id, document }) => ({
            kind: 'person',
            label: document.name,
            to: `/people/${id}`,
          })),
          ...(people.groups ?? []).map(({ id, document }) => ({
            kind: 'group',
            label: document.name,
            to: `/people/groups/${id}`,
          })),
        ]),
    ...(courses.courses ?? []).map(({ id, document }) => ({
      kind: document.archived ? 'archived course' : 'course',
      label: document.title,
      names: [document.base.plan.group, ...document.tags],
      to: `/courses/${id}`,
    })),
    ...(places.places ?? []).map(({ id, document }) => ({ kind: 'place', label: document.name, to: `/places/${id}` })),
    ...library.positions.map(({ id, names }) => ({
      kind: 'position',
      label: names.english,
      names: [names.sanskrit, names.yin, ...alsoCalled(id), ...(settings.current.entryTags[id] ?? [])],
      to: `/library/${id}`,
    })),
    ...library.techniques.map(({ id, names }) => ({
      kind: 'breath',
      label: names.english,
      names: [names.sanskrit, ...alsoCalled(id)],
      to: `/library/breath/${id}`,
    })),
  ]);
  return { all, load };
}
