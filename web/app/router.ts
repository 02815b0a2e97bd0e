import { createRouter, createWebHistory, type RouteLocation } from 'vue-router';
import HomePage from '../pages/home/HomePage.vue';
import { useLock } from '../state/lock';

declare module 'vue-router' {
  interface RouteMeta {
    /** Which section of the navigation this belongs to. */
    room?: 'courses' | 'plan' | 'teach' | 'history' | 'people' | 'library' | 'places' | 'settings' | 'help';
    title: string;
    /** A page without the navigation. */
    bare?: boolean;
    /** A page that opens before the library has come. */
    withoutLibrary?: boolean;
  }
}

/** An address under its new name, with all that follows it. */
const moved = (from: string, to: string, { path, query }: RouteLocation) => ({
  path: to + path.slice(from.length),
  query,
});

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', component: HomePage, meta: { title: 'Plans', withoutLibrary: true } },
    {
      path: '/plans/:id',
      component: () => import('../pages/planner/PlannerPage.vue'),
      props: true,
      meta: { room: 'plan', title: 'Plan' },
      children: [
        { path: '', component: () => import('../pages/planner/StepsView.vue') },
        { path: 'props', component: () => import('../pages/planner/props/PropsViews.vue') },
        { path: 'fit', component: () => import('../pages/planner/fit/FitViews.vue') },
        { path: 'cues', component: () => import('../pages/planner/cues/CuesView.vue') },
        { path: 'people', component: () => import('../pages/planner/cautions/CautionViews.vue') },
        { path: 'history', component: () => import('../pages/planner/versions/VersionsView.vue') },
      ],
    },
    {
      path: '/courses',
      component: () => import('../pages/courses/CoursesPage.vue'),
      meta: { room: 'courses', title: 'Courses' },
    },
    {
      path: '/courses/:id',
      component: () => import('../pages/courses/CoursePage.vue'),
      props: true,
      meta: { room: 'courses', title: 'Course' },
    },
    {
      path: '/courses/:id/weeks/:week',
      component: () => import('../pages/planner/PlannerPage.vue'),
      props: true,
      meta: { room: 'courses', title: 'Week of a course' },
      children: [
        { path: '', component: () => import('../pages/planner/StepsView.vue') },
        { path: 'props', component: () => import('../pages/planner/props/PropsViews.vue') },
        { path: 'cues', component: () => import('../pages/planner/cues/CuesView.vue') },
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
      meta: { room: 'teach', title: 'Student display', bare: true },
    },
    {
      path: '/history',
      component: () => import('../pages/history/sessions/SessionsPage.vue'),
      meta: { room: 'history', title: 'History' },
    },
    {
      path: '/history/trends',
      component: () => import('../pages/history/trends/TrendsPage.vue'),
      meta: { room: 'history', title: 'Trends' },
    },
    {
      path: '/history/journal/:id',
      component: () => import('../pages/history/journal/JournalPage.vue'),
      props: true,
      meta: { room: 'history', title: 'Journal' },
    },
    {
      path: '/history/:id',
      component: () => import('../pages/history/sessions/SessionPage.vue'),
      props: true,
      meta: { room: 'history', title: 'History' },
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
      path: '/places',
      component: () => import('../pages/places/PlacesPage.vue'),
      meta: { room: 'places', title: 'Props & places' },
    },
    {
      path: '/places/:id',
      component: () => import('../pages/places/PlacePage.vue'),
      props: true,
      meta: { room: 'places', title: 'Props & places' },
    },
    {
      path: '/settings',
      component: () => import('../pages/settings/SettingsPage.vue'),
      meta: { room: 'settings', title: 'Settings' },
    },
    {
      path: '/help',
      component: () => import('../pages/help/HelpPage.vue'),
      meta: { room: 'help', title: 'How it works' },
    },
    { path: '/import', component: () => import('../pages/import/ImportPage.vue'), meta: { title: 'Import' } },
    // Addresses of earlier versions, which may be in bookmarks.
    { path: '/runs/weeks', redirect: '/history/trends' },
    { path: '/runs/:rest(.*)*', redirect: (to) => moved('/runs', '/history', to) },
    { path: '/cupboard/:rest(.*)*', redirect: (to) => moved('/cupboard', '/places', to) },
    { path: '/house', redirect: '/settings' },
    { path: '/outbox', component: () => import('../pages/outbox/OutboxPage.vue'), meta: { title: 'Outbox' } },
    { path: '/bin', component: () => import('../pages/bin/BinPage.vue'), meta: { title: 'Bin' } },
    {
      path: '/unreadable',
      component: () => import('../pages/unreadable/UnreadablePage.vue'),
      meta: { title: 'Items that cannot be opened' },
    },
    { path: '/:path(.*)*', component: () => import('./NotFoundPage.vue'), meta: { title: 'Page not found' } },
  ],
});

// No page opens before it is known whether people may be seen.
// Plans are drawn with the custom entries, so these come first; without them everything else still opens.
router.beforeEach(async (to) => {
  const library = to.meta.withoutLibrary
    ? undefined
    : import('../state/library').then(({ useLibrary }) => useLibrary().ready());
  await Promise.all([library, useLock().ready()]);
});

// A page that knows more, such as the name of a plan, puts its own title in place of this.
router.afterEach((to, from) => {
  if (to.path !== from.path) document.title = `${to.meta.title} · Zovrin`;
});
