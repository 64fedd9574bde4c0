import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, expect, it, vi } from 'vitest'
import ClassView from './ClassView.vue'

afterEach(() => vi.unstubAllGlobals())

it('says where a link leads that is none any more', async () => {
  const gone = { code: 'not_there', family: 'not_found', params: {}, sentence: 'This does not exist.' }
  vi.stubGlobal('fetch', () => Promise.resolve(new Response(JSON.stringify(gone), { status: 404 })))
  const page = mount(ClassView, { props: { link: 'gone' } })
  await flushPromises()
  expect(page.get('[role=alert]').text()).toContain('Ask your teacher for another one.')
  page.unmount()
})
