import { createRouter, createWebHistory } from 'vue-router';
import { countDepartures } from './departures';
import { useHand } from './hand';

export const STATIONS = [
  'today',
  'ground',
  'scout',
  'methods',
  'mix',
  'when',
  'field-day',
  'look-back',
  'shed',
  'handbook',
] as const;
export type Station = (typeof STATIONS)[number];
/** Stations that need a stand in hand. */
export const OF_STAND: readonly Station[] = ['scout', 'methods', 'mix', 'when', 'field-day', 'look-back'];

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/today' },
    {
      path: '/sign-in',
      name: 'sign-in',
      component: () => import('@/features/session/SignIn.vue'),
      meta: { open: true },
    },
    {
      path: '/forgotten/:token?',
      name: 'forgotten',
      component: () => import('@/features/session/ForgottenPage.vue'),
      props: (to) => ({ token: String(to.params.token ?? '') }),
      meta: { open: true },
    },
    {
      path: '/join/:token',
      name: 'join',
      component: () => import('@/features/session/JoinPage.vue'),
      props: true,
      meta: { open: true },
    },
    { path: '/welcome', name: 'welcome', component: () => import('@/features/welcome/WelcomePage.vue') },
    { path: '/account', name: 'account', component: () => import('@/features/account/AccountPage.vue') },
    { path: '/crew', name: 'crew', component: () => import('@/features/crew/CrewPage.vue') },
    { path: '/today', name: 'today', component: () => import('@/features/today/TodayPage.vue') },
    { path: '/ground', name: 'ground', component: () => import('@/features/ground/GroundPage.vue') },
    { path: '/scout', name: 'sightings', component: () => import('@/features/scout/ScoutHome.vue') },
    {
      path: '/stands/:stand/scout',
      name: 'scout',
      component: () => import('@/features/scout/ScoutPage.vue'),
      props: true,
    },
    {
      path: '/stands/:stand/methods',
      name: 'methods',
      component: () => import('@/features/methods/MethodsPage.vue'),
      props: true,
    },
    { path: '/stands/:stand/mix', name: 'mix', component: () => import('@/features/mix/MixPage.vue'), props: true },
    { path: '/stands/:stand/when', name: 'when', component: () => import('@/features/when/WhenPage.vue'), props: true },
    {
      path: '/stands/:stand/field-day',
      name: 'field-day',
      component: () => import('@/features/field-day/FieldDayPage.vue'),
      props: true,
    },
    {
      path: '/stands/:stand/look-back',
      name: 'look-back',
      component: () => import('@/features/look-back/LookBackPage.vue'),
      props: true,
    },
    {
      path: '/field/:sheet',
      name: 'field',
      component: () => import('@/features/field-mode/FieldModePage.vue'),
      props: true,
      meta: { bare: true },
    },
    { path: '/season', name: 'season', component: () => import('@/features/season/SeasonPage.vue') },
    { path: '/accounts', name: 'accounts', component: () => import('@/features/accounts/AccountsPage.vue') },
    { path: '/sums', name: 'sums', component: () => import('@/features/mix/SumsPage.vue') },
    { path: '/shed', name: 'shed', component: () => import('@/features/shed/ShedPage.vue') },
    { path: '/handbook', name: 'handbook', component: () => import('@/features/handbook/HandbookPage.vue') },
    { path: '/handbook/compare', name: 'compare', component: () => import('@/features/handbook/ComparePage.vue') },
    {
      path: '/handbook/species/:id',
      name: 'species',
      component: () => import('@/features/handbook/SpeciesPage.vue'),
      props: true,
    },
    { path: '/:any(.*)*', name: 'lost', component: () => import('@/app/LostPage.vue') },
  ],
});
countDepartures(router);
router.afterEach((to) => {
  if (typeof to.params.stand === 'string') useHand().take(to.params.stand);
});
