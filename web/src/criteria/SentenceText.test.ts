import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import SentenceText from './SentenceText.vue'

const sentence = {
  pointer: '',
  phrases: [{ text: 'any of these', control: 'GROUP' as const, pointer: '' }],
  parts: [
    {
      pointer: '/any/0',
      phrases: [
        { text: 'aged ', pointer: '' },
        { text: '18 or over', control: 'AGE' as const, pointer: '/any/0/age' },
      ],
      parts: [],
    },
  ],
}

describe('a sentence', () => {
  it('opens the words that can be changed by mouse and by key', async () => {
    const text = mount(SentenceText, { props: { sentence } })
    await text.find('[data-control=AGE]').trigger('click')
    await text.find('[data-control=GROUP]').trigger('keydown', { key: 'Enter' })
    expect(text.emitted('edit')?.map(([, control, pointer]) => [control, pointer])).toEqual([
      ['AGE', '/any/0/age'],
      ['GROUP', ''],
    ])
  })

  it('takes a part out of its group', async () => {
    const text = mount(SentenceText, { props: { sentence } })
    await text.find('.take-out').trigger('click')
    expect(text.emitted('remove')).toEqual([['/any/0']])
  })

  it('shows text from records as text', () => {
    const phrases = [{ text: 'name is <script>alert(1)</script>', pointer: '' }]
    const text = mount(SentenceText, { props: { sentence: { pointer: '', phrases, parts: [] } } })
    expect(text.text()).toContain('<script>')
    expect(text.find('script').exists()).toBe(false)
  })
})
