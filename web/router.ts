import { createRouter, createWebHistory } from 'vue-router';
import HomeRoom from './home/HomeRoom.vue';
import { useLibrary } from './stores/library';
import { useLock } from './stores/lock';

declare module 'vue-router' {
  interface RouteMeta {
    /** Which room of the navigation this belongs to. */
    room?: 'plan' | 'teach' | 'lookback' | 'people' | 'library' | 'cupboard' | 'house';
    title: string;
    /** A room without the navigation above it. */
    bare?: boolean;
  }
}

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', component: HomeRoom, meta: { title: 'Plans' } },
    {
      path: '/plans/:id',
      component: () => import('./plan/PlanDesk.vue'),
      props: true,
      meta: { room: 'plan', title: 'Plan' },
      children: [
        { path: '', component: () => import('./plan/PlanRoom.vue') },
        { path: 'props', component: () => import('./plan/props/PropsRoom.vue') },
        { path: 'fit', component: () => import('./plan/fit/FitRoom.vue') },
        { path: 'people', component: () => import('./plan/people/PeopleViews.vue') },
        { path: 'history', component: () => import('./plan/history/HistoryRoom.vue') },
      ],
    },
    {
      path: '/teach/:id',
      component: () => import('./teach/TeachRoom.vue'),
      props: true,
      meta: { room: 'teach', title: 'Teach', bare: true },
    },
    {
      path: '/room/:id',
      component: () => import('./teach/RoomRoom.vue'),
      props: true,
      meta: { room: 'teach', title: 'Room', bare: true },
    },
    {
      path: '/runs',
      component: () => import('./lookback/RunsRoom.vue'),
      meta: { room: 'lookback', title: 'Look back' },
    },
    {
      path: '/runs/weeks',
      component: () => import('./lookback/weeks/WeeksRoom.vue'),
      meta: { room: 'lookback', title: 'Over weeks' },
    },
    {
      path: '/runs/journal/:id',
      component: () => import('./lookback/journal/JournalRoom.vue'),
      props: true,
      meta: { room: 'lookback', title: 'Journal' },
    },
    {
      path: '/runs/:id',
      component: () => import('./lookback/RunRoom.vue'),
      props: true,
      meta: { room: 'lookback', title: 'Look back' },
    },
    {
      path: '/library',
      component: () => import('./library/LibraryRoom.vue'),
      meta: { room: 'library', title: 'Library' },
    },
    {
      path: '/library/breath/:id/edit',
      component: () => import('./library/edit/EditTechniqueRoom.vue'),
      props: true,
      meta: { room: 'library', title: 'Library' },
    },
    {
      path: '/library/:id/edit',
      component: () => import('./library/edit/EditPositionRoom.vue'),
      props: true,
      meta: { room: 'library', title: 'Library' },
    },
    {
      path: '/library/breath/:id',
      component: () => import('./library/TechniqueRoom.vue'),
      props: true,
      meta: { room: 'library', title: 'Library' },
    },
    {
      path: '/library/:id',
      component: () => import('./library/EntryRoom.vue'),
      props: true,
      meta: { room: 'library', title: 'Library' },
    },
    {
      path: '/people',
      component: () => import('./people/PeopleRoom.vue'),
      meta: { room: 'people', title: 'People' },
    },
    {
      path: '/people/form',
      component: () => import('./people/form/PaperForm.vue'),
      meta: { room: 'people', title: 'People' },
    },
    {
      path: '/people/groups/:id',
      component: () => import('./people/GroupRoom.vue'),
      props: true,
      meta: { room: 'people', title: 'People' },
    },
    {
      path: '/people/:id/form',
      component: () => import('./people/form/AskRoom.vue'),
      props: true,
      meta: { room: 'people', title: 'People' },
    },
    {
      path: '/people/:id',
      component: () => import('./people/PersonRoom.vue'),
      props: true,
      meta: { room: 'people', title: 'People' },
    },
    {
      path: '/cupboard',
      component: () => import('./cupboard/CupboardRoom.vue'),
      meta: { room: 'cupboard', title: 'Cupboard' },
    },
    {
      path: '/cupboard/:id',
      component: () => import('./cupboard/PlaceRoom.vue'),
      props: true,
      meta: { room: 'cupboard', title: 'Cupboard' },
    },
    {
      path: '/house',
      component: () => import('./house/HouseRoom.vue'),
      meta: { room: 'house', title: 'House rules' },
    },
    { path: '/bin', component: () => import('./home/BinRoom.vue'), meta: { title: 'Bin' } },
    {
      path: '/unreadable',
      component: () => import('./unreadable/UnreadablePage.vue'),
      meta: { title: 'Items that cannot be opened' },
    },
    { path: '/:path(.*)*', component: () => import('./home/NowhereRoom.vue'), meta: { title: 'Not here' } },
  ],
});

// No page is opened before it is known whether people may be seen.
// Plans are drawn with the entries of one's own, so these come first; without them everything else still opens.
router.beforeEach(() => Promise.all([useLibrary().ready(), useLock().ready()]).then(() => undefined));

router.afterEach((to) => {
  document.title = `${to.meta.title} · Zovrin`;
});
