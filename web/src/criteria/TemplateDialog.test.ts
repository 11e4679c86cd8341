import { clear, serving, shown } from '@/testing'
import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, it, vi } from 'vitest'
import TemplateDialog from './TemplateDialog.vue'

afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

const OPENED = {
  name: 'Asthma review',
  about: 'Whoever has asthma.',
  questions: [
    {
      question: 'Which problems are asthma?',
      choices: [
        { answer: { code: 'A1' }, says: 'code A1', also: 'Asthma', count: 12, chosen: true },
        { answer: { text: 'x' }, says: '“x”', also: 'x', count: 3, chosen: false },
      ],
    },
    { question: 'Who moved away?', choices: [] },
  ],
}

it('asks what the library’s template leaves open, and puts what is chosen on the bench', async () => {
  const asked = serving({
    'GET /api/templates': [{ id: 'asthma', name: 'Asthma review', about: 'Whoever has asthma.' }],
    'POST /api/templates/opened': OPENED,
    'POST /api/templates/filled': { document: { id: 'asthma', name: 'Asthma review' } },
  })
  const wrapper = await shown(TemplateDialog, { visible: true })
  await wrapper.find('.library .word').trigger('click')
  await flushPromises()
  expect(wrapper.text()).toContain('code A1, Asthma')
  expect(wrapper.text()).toContain('Nothing on record is worded so')
  expect(wrapper.text()).toContain('1 question stays open')
  await wrapper.findAll('input')[1]?.setValue(true)
  await wrapper.find('form').trigger('submit')
  await flushPromises()
  expect(asked.at(-1)?.body).toEqual({
    template: { id: 'asthma' },
    answers: [[{ code: 'A1' }, { text: 'x' }], []],
  })
  expect(wrapper.emitted('put')?.[0]).toEqual([{ id: 'asthma', name: 'Asthma review' }])
})

it('opens one of a file at once, and says what is wrong with it', async () => {
  serving({})
  const wrapper = await shown(TemplateDialog, { visible: false, file: { format: 'x' } })
  await wrapper.setProps({ visible: true })
  await flushPromises()
  expect(wrapper.find('[role=alert]').text()).toContain('Nothing answers')
  expect(wrapper.find('button[type=submit]').exists()).toBe(false)
})
