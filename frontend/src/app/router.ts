import { createRouter, createWebHistory } from 'vue-router'
import { SignInPage, SignUpPage, AccountPage, OutboxPage, SchoolPage, whoAmI } from '@/accounts'
import { BinPage, EditorPage, PickPage, SetsPage, SetTextPage, TryFrame, TryPage } from '@/library'
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
import { t } from './words'
import { t as common } from '@/ui/words'

declare module 'vue-router' {
  interface RouteMeta {
    title: () => string
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
    { path: '/sign-in', component: SignInPage, meta: { title: () => t('sign_in'), open: true, bare: true } },
    {
      path: '/sign-up',
      component: SignUpPage,
      meta: { title: () => t('make_an_account'), open: true, bare: true },
    },
    { path: '/account', component: AccountPage, meta: { title: () => t('your_account') } },
    { path: '/school', component: SchoolPage, meta: { title: () => t('your_school') } },
    { path: '/outbox', component: OutboxPage, meta: { title: () => t('outbox') } },
    { path: '/sets', component: SetsPage, meta: { title: () => t('sets') } },
    { path: '/sets/:id(\\d+)', component: EditorPage, meta: { title: () => t('set') } },
    { path: '/sets/:id(\\d+)/text', component: SetTextPage, meta: { title: () => t('set') } },
    { path: '/shelf', component: ShelfPage, meta: { title: () => t('media_shelf') } },
    { path: '/sets/:id(\\d+)/try', component: TryPage, meta: { title: () => t('try_it_as_a_student') } },
    {
      path: '/sets/:id(\\d+)/try/frame',
      component: TryFrame,
      meta: { title: () => t('try_it'), bare: true, isStudents: true },
    },
    { path: '/bin', component: BinPage, meta: { title: () => t('recycle_bin') } },
    { path: '/bring-in', component: ImportPage, meta: { title: () => t('bring_questions_in') } },
    { path: '/pick', component: PickPage, meta: { title: () => t('pick_questions') } },
    { path: '/classes', component: ClassesPage, meta: { title: () => t('classes') } },
    { path: '/classes/bring-in', component: BringListPage, meta: { title: () => t('bring_class_lists_in') } },
    { path: '/classes/:id(\\d+)', component: ClassPage, meta: { title: () => t('class') } },
    {
      path: '/classes/:id(\\d+)/results',
      component: ClassResultsPage,
      meta: { title: () => t('a_class_over_time') },
    },
    { path: '/grade-books/:id(\\d+)', component: GradeBookPage, meta: { title: () => t('grade_book') } },
    {
      path: '/classes/:id(\\d+)/students/:student',
      component: StudentResultsPage,
      meta: { title: () => t('a_student_over_time') },
    },
    { path: '/sessions', component: SessionsView, meta: { title: () => t('sessions') } },
    { path: '/sessions/:id(\\d+)', component: SessionPage, meta: { title: () => t('session') } },
    {
      path: '/sessions/:id(\\d+)/marking',
      component: MarkingPage,
      meta: { title: () => t('marking_by_hand') },
    },
    {
      path: '/sessions/:id(\\d+)/questions/:item',
      component: QuestionPage,
      meta: { title: () => t('question_of_a_session') },
    },
    {
      path: '/sessions/:id(\\d+)/students/:seat(\\d+)',
      component: StudentPage,
      meta: { title: () => t('student_in_a_session') },
    },
    { path: '/work', component: WorkListPage, meta: { title: () => t('set_work') } },
    { path: '/work/give', component: GivePage, meta: { title: () => t('set_it_as_work') } },
    { path: '/work/:id(\\d+)', component: WorkPage, meta: { title: () => t('set_work') } },
    { path: '/shared/:secret', component: SharedPage, meta: { title: () => t('results'), open: true } },
    { path: '/desk/:id(\\d+)', component: DeskPage, meta: { title: () => t('desk'), bare: true } },
    { path: '/:rest(.*)', component: MissingPage, meta: { title: () => t('not_found'), open: true } },
  ],
})

router.beforeEach(async (to) => {
  if (!to.meta.open && !(await whoAmI())) return { path: '/sign-in', query: { next: to.fullPath } }
})

router.afterEach((to) => {
  document.title = common('page_title', { title: to.meta.title() })
})
