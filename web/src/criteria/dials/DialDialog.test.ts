import { clear, shown } from '@/testing'
import { afterEach, describe, expect, it } from 'vitest'
import DialDialog from './DialDialog.vue'
import { isAmong, type Dial } from './dials'

afterEach(clear)

const LEAST: Dial = { name: 'least', label: 'At least', type: 'number', default: 2.5 }

async function dialog(dial: Dial) {
  const wrapper = await shown(DialDialog, { visible: false, dial, fields: [] })
  await wrapper.setProps({ visible: true })
  const choices = wrapper.findAll('input').at(-1)
  if (!choices) {
    throw new Error('There is nothing to type choices into')
  }
  const problem = () => wrapper.findAll('[role=alert]').map((one) => one.text())
  return { wrapper, choices, problem }
}

describe('a dial', () => {
  it('takes its choices as its type compares them', async () => {
    const { wrapper, choices } = await dialog(LEAST)
    await choices.setValue('2.50; 4; ')
    expect(wrapper.find('[role=alert]').exists()).toBe(false)
    await wrapper.find('form').trigger('submit')
    expect(wrapper.emitted('save')?.at(-1)).toEqual([{ ...LEAST, choices: [2.5, 4] }])
  })

  it('says which choice is no number, and where it would begin outside of them', async () => {
    const { choices, problem } = await dialog(LEAST)
    await choices.setValue('2,5; 4')
    expect(problem()).toEqual(['“2,5” is no number.'])
    await choices.setValue('3; 4')
    expect(problem()).toEqual(['It begins at 2.5, which is not among the choices.'])
    await choices.setValue('')
    expect(problem()).toEqual([])
  })

  it.each([
    ['number', 2.5, ['2.50', '4'], true],
    ['number', -0, ['0'], true],
    ['number', 25, ['2.5'], false],
    ['text', 'Mill  lane', ['MILL LANE'], true],
    ['texts', ['Mill Lane', 'Ｈarbour'], ['harbour', 'mill lane'], true],
    ['texts', ['Mill Lane', 'Elsewhere'], ['mill lane'], false],
    ['period', 'P12M', ['P1Y'], false],
    ['date', '2026-02', ['2026-02'], true],
  ] as const)('of type %s at %s is among %s: %s', (type, value, choices, is) => {
    expect(isAmong(type, value as never, choices as never)).toBe(is)
  })
})
