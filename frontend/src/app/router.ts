import { createRouter, createWebHistory } from 'vue-router'
import { SignInPage, SignUpPage, AccountPage, OutboxPage, SchoolPage, whoAmI } from '@/accounts'
import { BinPage, EditorPage, PickPage, SetsPage, TryFrame, TryPage } from '@/library'
import { BringListPage, ClassesPage, ClassPage } from '@/classes'
import { ImportPage } from '@/exchange'
import { DeskPage } from '@/live/desk'
import { ShelfPage } from '@/media'
import {
  ClassResultsPage,
  GradeBookPage,
  MarkingPage,
  QuestionPage,
  SessionPage,
  SharedPage,
  StudentPage,
  StudentResultsPage,
} from '@/reports'
import { GivePage, WorkListPage, WorkPage } from '@/work'
import SessionsView from './SessionsView.vue'
import MissingPage from './MissingPage.vue'

declare module 'vue-router' {
  interface RouteMeta {
    title: string
    /** Shown without signing in. */
    open?: boolean
    /** Has its own frame. */
    bare?: boolean
    /** A student's page, which has its own main part. */
    isStudents?: boolean
  }
}

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/sets' },
    { path: '/sign-in', component: SignInPage, meta: { title: 'Sign in', open: true, bare: true } },
    { path: '/sign-up', component: SignUpPage, meta: { title: 'Make an account', open: true, bare: true } },
    { path: '/account', component: AccountPage, meta: { title: 'Your account' } },
    { path: '/school', component: SchoolPage, meta: { title: 'Your school' } },
    { path: '/outbox', component: OutboxPage, meta: { title: 'Outbox' } },
    { path: '/sets', component: SetsPage, meta: { title: 'Sets' } },
    { path: '/sets/:id(\\d+)', component: EditorPage, meta: { title: 'Set' } },
    { path: '/shelf', component: ShelfPage, meta: { title: 'Media shelf' } },
    { path: '/sets/:id(\\d+)/try', component: TryPage, meta: { title: 'Try it as a student' } },
    {
      path: '/sets/:id(\\d+)/try/frame',
      component: TryFrame,
      meta: { title: 'Try it', bare: true, isStudents: true },
    },
    { path: '/bin', component: BinPage, meta: { title: 'Recycle bin' } },
    { path: '/bring-in', component: ImportPage, meta: { title: 'Bring questions in' } },
    { path: '/pick', component: PickPage, meta: { title: 'Pick questions' } },
    { path: '/classes', component: ClassesPage, meta: { title: 'Classes' } },
    { path: '/classes/bring-in', component: BringListPage, meta: { title: 'Bring class lists in' } },
    { path: '/classes/:id(\\d+)', component: ClassPage, meta: { title: 'Class' } },
    {
      path: '/classes/:id(\\d+)/results',
      component: ClassResultsPage,
      meta: { title: 'A class over time' },
    },
    { path: '/grade-books/:id(\\d+)', component: GradeBookPage, meta: { title: 'Grade book' } },
    {
      path: '/classes/:id(\\d+)/students/:student',
      component: StudentResultsPage,
      meta: { title: 'A student over time' },
    },
    { path: '/sessions', component: SessionsView, meta: { title: 'Sessions' } },
    { path: '/sessions/:id(\\d+)', component: SessionPage, meta: { title: 'Session' } },
    {
      path: '/sessions/:id(\\d+)/marking',
      component: MarkingPage,
      meta: { title: 'Marking by hand' },
    },
    {
      path: '/sessions/:id(\\d+)/questions/:item',
      component: QuestionPage,
      meta: { title: 'Question of a session' },
    },
    {
      path: '/sessions/:id(\\d+)/students/:seat(\\d+)',
      component: StudentPage,
      meta: { title: 'Student in a session' },
    },
    { path: '/work', component: WorkListPage, meta: { title: 'Set work' } },
    { path: '/work/give', component: GivePage, meta: { title: 'Set it as work' } },
    { path: '/work/:id(\\d+)', component: WorkPage, meta: { title: 'Set work' } },
    { path: '/shared/:secret', component: SharedPage, meta: { title: 'Results', open: true } },
    { path: '/desk/:id(\\d+)', component: DeskPage, meta: { title: 'Desk', bare: true } },
    { path: '/:rest(.*)', component: MissingPage, meta: { title: 'Not found', open: true } },
  ],
})

router.beforeEach(async (to) => {
  if (!to.meta.open && !(await whoAmI())) return { path: '/sign-in', query: { next: to.fullPath } }
})

router.afterEach((to) => {
  document.title = `${to.meta.title} · Tall Lantern`
})
