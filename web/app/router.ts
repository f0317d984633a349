import { createRouter, createWebHistory } from 'vue-router';
import { useAccount } from '../features/accounts/account-store.ts';
import { appWords as words } from './words.ts';

declare module 'vue-router' {
  interface RouteMeta {
    title: string;
    /** May be seen without signing in. */
    open?: boolean;
    /** Whether trainees and guardians may open it, or the name of the page that they get in its place. */
    own?: true | string;
    /** Only for who judges and plans; an assistant gets the floor in its place. */
    judges?: boolean;
    /** Dark, without the shell round it. */
    bench?: boolean;
  }
}

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    {
      path: '/',
      name: 'today',
      component: () => import('../features/today/TodayPage.vue'),
      meta: { title: words.today, own: 'own' },
    },
    { path: '/own', name: 'own', component: () => import('../features/own/OwnPage.vue'), meta: { title: 'Home', own: true } },
    {
      path: '/own/sessions/:sessionId',
      name: 'own-review',
      component: () => import('../features/own/OwnReviewPage.vue'),
      props: true,
      meta: { title: words.review, own: true },
    },
    {
      path: '/own/sessions/:sessionId/report',
      name: 'own-report',
      component: () => import('../features/own/OwnReportPage.vue'),
      props: true,
      meta: { title: words.report, own: true },
    },
    {
      path: '/own/cards/:correctionId',
      name: 'own-card',
      component: () => import('../features/own/OwnCardPage.vue'),
      props: true,
      meta: { title: words.card, own: true },
    },
    {
      path: '/own/plans/:planId',
      name: 'own-plan',
      component: () => import('../features/own/OwnPlanPage.vue'),
      props: true,
      meta: { title: words.plannedSession, own: true },
    },
    {
      path: '/sign-in',
      name: 'sign-in',
      component: () => import('../features/accounts/SignInPage.vue'),
      meta: { title: words.signIn, open: true },
    },
    {
      path: '/join/:code',
      name: 'join',
      component: () => import('../features/people/JoinPage.vue'),
      props: true,
      meta: { title: words.comeIn, open: true },
    },
    {
      path: '/people',
      name: 'people',
      component: () => import('../features/people/PeoplePage.vue'),
      meta: { title: words.peopleAndSignIns, own: true },
    },
    {
      path: '/journal',
      name: 'journal',
      component: () => import('../features/journal/JournalPage.vue'),
      meta: { title: words.journal },
    },
    {
      path: '/trainees',
      name: 'trainees',
      component: () => import('../features/trainees/TraineesPage.vue'),
      meta: { title: words.trainees },
    },
    {
      path: '/trainees/:traineeId',
      name: 'trainee',
      component: () => import('../features/trainees/TraineePage.vue'),
      props: true,
      meta: { title: words.trainee },
    },
    {
      path: '/sessions/:sessionId',
      name: 'session',
      component: () => import('../features/sessions/SessionPage.vue'),
      props: true,
      meta: { title: words.session, own: 'own-review' },
    },
    {
      path: '/sessions/:sessionId/report',
      name: 'session-report',
      component: () => import('../features/reports/SessionReportPage.vue'),
      props: true,
      meta: { title: words.sessionReport, own: 'own-report' },
    },
    {
      path: '/reports',
      name: 'class-reports',
      component: () => import('../features/reports/ClassReportsPage.vue'),
      meta: { title: words.reportsOfAClass },
    },
    {
      path: '/trainees/:traineeId/habits',
      name: 'habits',
      component: () => import('../features/habits/HabitsPage.vue'),
      props: true,
      meta: { title: words.habits },
    },
    {
      path: '/trainees/:traineeId/report',
      name: 'block-report',
      component: () => import('../features/reports/BlockReportPage.vue'),
      props: true,
      meta: { title: words.blockReport },
    },
    {
      path: '/sessions/:sessionId/montage',
      name: 'montage',
      component: () => import('../features/montages/MontagePage.vue'),
      props: true,
      meta: { title: words.montage },
    },
    {
      path: '/sessions/:sessionId/strikes',
      name: 'sheet',
      component: () => import('../features/measures/StrikeSheetPage.vue'),
      props: true,
      meta: { title: words.sheetOfStrikes },
    },
    {
      path: '/measures',
      name: 'measures',
      component: () => import('../features/measures/MeasuresPage.vue'),
      meta: { title: words.measures },
    },
    {
      path: '/measures/names',
      name: 'found-names',
      component: () => import('../features/found-names/FoundNamesPage.vue'),
      meta: { title: words.namesFound },
    },
    {
      path: '/measures/points',
      name: 'point-checks',
      component: () => import('../features/point-checks/PointChecksPage.vue'),
      meta: { title: words.pointsChecked },
    },
    {
      path: '/measures/points/check',
      name: 'point-check',
      component: () => import('../features/point-checks/CheckPage.vue'),
      meta: { title: words.checkPoints },
    },
    {
      path: '/reviewing',
      name: 'reviewing',
      component: () => import('../features/reviewing/ReviewingPage.vue'),
      meta: { title: words.howWeReview },
    },
    {
      path: '/review/:filmId/:strikeId?',
      name: 'bench',
      component: () => import('../features/review/BenchPage.vue'),
      props: true,
      meta: { title: words.bench, bench: true },
    },
    {
      path: '/compare/:firstId/:secondId?',
      name: 'compare',
      component: () => import('../features/compare/ComparePage.vue'),
      props: true,
      meta: { title: words.compare, bench: true },
    },
    // Links that were kept when a film had two names.
    { path: '/clips/:filmId/rounds', redirect: ({ params }) => ({ name: 'hits-and-rounds', params }) },
    {
      path: '/films/:filmId/rounds',
      name: 'hits-and-rounds',
      component: () => import('../features/rounds/RoundsPage.vue'),
      props: true,
      meta: { title: words.hitsAndRounds },
    },
    {
      path: '/films/:filmId/marks',
      name: 'marks-elsewhere',
      component: () => import('../features/marks-elsewhere/ReadMarksPage.vue'),
      props: true,
      meta: { title: words.marksMadeElsewhere },
    },
    {
      path: '/sessions/:sessionId/film',
      name: 'filming',
      component: () => import('../features/filming/FilmingPage.vue'),
      props: true,
      meta: { title: words.filming, bench: true },
    },
    {
      path: '/corrections',
      name: 'corrections',
      component: () => import('../features/corrections/CorrectionsPage.vue'),
      meta: { title: words.corrections },
    },
    {
      path: '/corrections/:correctionId/card',
      name: 'card',
      component: () => import('../features/cards/CardPage.vue'),
      props: true,
      meta: { title: words.card, own: 'own-card' },
    },
    {
      path: '/removed',
      name: 'removed',
      component: () => import('../features/removals/RemovedPage.vue'),
      meta: { title: words.removed, judges: true },
    },
    {
      path: '/archives',
      name: 'archives',
      component: () => import('../features/archives/ArchivesPage.vue'),
      meta: { title: words.archivesAndBackups },
    },
    {
      path: '/c/:code',
      name: 'shared-card',
      component: () => import('../features/cards/SharedCardPage.vue'),
      props: true,
      meta: { title: words.card, open: true },
    },
    {
      path: '/checklists',
      name: 'checklists',
      component: () => import('../features/checklists/ChecklistsPage.vue'),
      meta: { title: words.checklists },
    },
    {
      path: '/checklists/:technique',
      name: 'technique',
      component: () => import('../features/checklists/TechniquePage.vue'),
      props: true,
      meta: { title: words.checklist },
    },
    {
      path: '/schools',
      name: 'schools',
      component: () => import('../features/schools/SchoolsPage.vue'),
      meta: { title: words.schools },
    },
    {
      path: '/call-books',
      name: 'call-books',
      component: () => import('../features/calls/CallBooksPage.vue'),
      meta: { title: words.callBooks },
    },
    {
      path: '/floor',
      name: 'floor',
      component: () => import('../features/floor/FloorPage.vue'),
      meta: { title: words.floor, own: 'own' },
    },
    {
      path: '/week-plan',
      name: 'week-plan',
      component: () => import('../features/floor/WeekPlanPage.vue'),
      meta: { title: words.planTheWeek, judges: true },
    },
    {
      path: '/pair',
      name: 'pair',
      component: () => import('../features/plans/PairPage.vue'),
      meta: { title: words.twoWithOneHolder, judges: true },
    },
    {
      path: '/set-up',
      name: 'set-up',
      component: () => import('../features/setup/SetUpPage.vue'),
      meta: { title: words.setUp },
    },
    {
      path: '/stations',
      name: 'stations',
      component: () => import('../features/floor/StationsPage.vue'),
      meta: { title: words.groupAtStations },
    },
    {
      path: '/drills',
      name: 'drills',
      component: () => import('../features/drills/DrillsPage.vue'),
      meta: { title: words.drills },
    },
    {
      path: '/syllabus',
      name: 'syllabus',
      component: () => import('../features/syllabus/SyllabusPage.vue'),
      meta: { title: words.syllabus },
    },
    {
      path: '/trainees/:traineeId/test',
      name: 'trainee-test',
      component: () => import('../features/syllabus/TraineeCoursePage.vue'),
      props: true,
      meta: { title: words.theWayToTheTest },
    },
    {
      path: '/tests/:testId',
      name: 'test-sheet',
      component: () => import('../features/syllabus/TestSheetPage.vue'),
      props: true,
      meta: { title: words.test },
    },
    {
      path: '/trainees/:traineeId/plan',
      name: 'new-plan',
      component: () => import('../features/plans/NewPlanPage.vue'),
      props: true,
      meta: { title: words.planASession, judges: true },
    },
    {
      path: '/plans/:planId',
      name: 'plan',
      component: () => import('../features/plans/PlanPage.vue'),
      props: true,
      meta: { title: words.plannedSession, own: 'own-plan' },
    },
    {
      path: '/plans/:planId/floor',
      name: 'floor-timer',
      component: () => import('../features/floor/FloorTimerPage.vue'),
      props: true,
      meta: { title: words.floorTimer, bench: true, own: true },
    },
    { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./NowherePage.vue'), meta: { title: words.notHere } },
  ],
  scrollBehavior: (to, _from, saved) => saved ?? (to.hash ? { el: to.hash } : { top: 0 }),
});

router.beforeEach(async (to) => {
  if (to.meta.open) return true;
  const account = useAccount();
  if (!(await account.known())) return { name: 'sign-in', query: to.fullPath === '/' ? {} : { to: to.fullPath } };
  if (account.me?.secondFactorDue && to.name !== 'people') return { name: 'people' };
  if (account.worksHere) {
    if (to.path === '/own') return { name: 'today' };
    return to.meta.judges && !account.judges ? { name: 'floor' } : true;
  }
  if (to.meta.own === true || to.name === 'nowhere') return true;
  return { name: to.meta.own ?? 'own', params: to.meta.own ? to.params : {} };
});
router.afterEach((to) => {
  document.title = words.pageTitle(to.meta.title);
});
