import { createRouter, createWebHistory } from 'vue-router';
import HomePage from '../pages/home/HomePage.vue';
import { useLibrary } from '../state/library';
import { useLock } from '../state/lock';

declare module 'vue-router' {
  interface RouteMeta {
    /** Which section of the navigation this belongs to. */
    room?: 'plan' | 'teach' | 'lookback' | 'people' | 'library' | 'cupboard' | 'house';
    title: string;
    /** A page without the navigation. */
    bare?: boolean;
  }
}

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', component: HomePage, meta: { title: 'Plans' } },
    {
      path: '/plans/:id',
      component: () => import('../pages/planner/PlannerPage.vue'),
      props: true,
      meta: { room: 'plan', title: 'Plan' },
      children: [
        { path: '', component: () => import('../pages/planner/StepsView.vue') },
        { path: 'props', component: () => import('../pages/planner/props/PropsViews.vue') },
        { path: 'fit', component: () => import('../pages/planner/fit/FitViews.vue') },
        { path: 'people', component: () => import('../pages/planner/cautions/CautionViews.vue') },
        { path: 'history', component: () => import('../pages/planner/versions/VersionsView.vue') },
      ],
    },
    {
      path: '/teach/:id',
      component: () => import('../pages/live/lead/LeadPage.vue'),
      props: true,
      meta: { room: 'teach', title: 'Teach', bare: true },
    },
    {
      path: '/room/:id',
      component: () => import('../pages/live/audience/AudiencePage.vue'),
      props: true,
      meta: { room: 'teach', title: 'Room', bare: true },
    },
    {
      path: '/runs',
      component: () => import('../pages/history/sessions/SessionsPage.vue'),
      meta: { room: 'lookback', title: 'Look back' },
    },
    {
      path: '/runs/weeks',
      component: () => import('../pages/history/trends/TrendsPage.vue'),
      meta: { room: 'lookback', title: 'Over weeks' },
    },
    {
      path: '/runs/journal/:id',
      component: () => import('../pages/history/journal/JournalPage.vue'),
      props: true,
      meta: { room: 'lookback', title: 'Journal' },
    },
    {
      path: '/runs/:id',
      component: () => import('../pages/history/sessions/SessionPage.vue'),
      props: true,
      meta: { room: 'lookback', title: 'Look back' },
    },
    {
      path: '/library',
      component: () => import('../pages/library/LibraryPage.vue'),
      meta: { room: 'library', title: 'Library' },
    },
    {
      path: '/library/breath/:id/edit',
      component: () => import('../pages/library/edit/EditTechniquePage.vue'),
      props: true,
      meta: { room: 'library', title: 'Library' },
    },
    {
      path: '/library/:id/edit',
      component: () => import('../pages/library/edit/EditPositionPage.vue'),
      props: true,
      meta: { room: 'library', title: 'Library' },
    },
    {
      path: '/library/breath/:id',
      component: () => import('../pages/library/TechniquePage.vue'),
      props: true,
      meta: { room: 'library', title: 'Library' },
    },
    {
      path: '/library/:id',
      component: () => import('../pages/library/PositionPage.vue'),
      props: true,
      meta: { room: 'library', title: 'Library' },
    },
    {
      path: '/people',
      component: () => import('../pages/people/PeoplePage.vue'),
      meta: { room: 'people', title: 'People' },
    },
    {
      path: '/people/form',
      component: () => import('../pages/people/form/PaperFormPage.vue'),
      meta: { room: 'people', title: 'People' },
    },
    {
      path: '/people/groups/:id',
      component: () => import('../pages/people/GroupPage.vue'),
      props: true,
      meta: { room: 'people', title: 'People' },
    },
    {
      path: '/people/:id/form',
      component: () => import('../pages/people/form/ScreeningPage.vue'),
      props: true,
      meta: { room: 'people', title: 'People' },
    },
    {
      path: '/people/:id',
      component: () => import('../pages/people/PersonPage.vue'),
      props: true,
      meta: { room: 'people', title: 'People' },
    },
    {
      path: '/cupboard',
      component: () => import('../pages/places/PlacesPage.vue'),
      meta: { room: 'cupboard', title: 'Cupboard' },
    },
    {
      path: '/cupboard/:id',
      component: () => import('../pages/places/PlacePage.vue'),
      props: true,
      meta: { room: 'cupboard', title: 'Cupboard' },
    },
    {
      path: '/house',
      component: () => import('../pages/settings/SettingsPage.vue'),
      meta: { room: 'house', title: 'House rules' },
    },
    { path: '/bin', component: () => import('../pages/bin/BinPage.vue'), meta: { title: 'Bin' } },
    {
      path: '/unreadable',
      component: () => import('../pages/unreadable/UnreadablePage.vue'),
      meta: { title: 'Items that cannot be opened' },
    },
    { path: '/:path(.*)*', component: () => import('./NotFoundPage.vue'), meta: { title: 'Not here' } },
  ],
});

// No page opens before it is known whether people may be seen.
// Plans are drawn with the custom entries, so these come first; without them everything else still opens.
router.beforeEach(() => Promise.all([useLibrary().ready(), useLock().ready()]).then(() => undefined));

router.afterEach((to) => {
  document.title = `${to.meta.title} · Zovrin`;
});
