import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import Stick from './Stick.vue'
import { percent, reach } from './stick'

describe('the stick', () => {
  it('reaches farther for more, nowhere for nobody and full for everybody', () => {
    expect(reach(0, 100, 'root')).toBe(0)
    expect(reach(25, 100, 'root')).toBe(0.5)
    expect(reach(25, 100, 'linear')).toBe(0.25)
    expect(reach(100, 100, 'root')).toBe(1)
    expect(reach(5, 0, 'root')).toBe(0)
  })

  it('rounds no share to nobody or to everybody', () => {
    expect(percent(1, 1000)).toBe('under 1%')
    expect(percent(999, 1000)).toBe('over 99%')
    expect(percent(0, 10)).toBe('0%')
    expect(percent(10, 10)).toBe('100%')
    expect(percent(0, 0)).toBe('–')
  })

  it('draws the fluid, the part that can’t be told, and the ghost of the level before', () => {
    const stick = mount(Stick, {
      props: { value: 25, unsure: 24, total: 100, ghost: 100, width: 100 },
    })
    expect(stick.find('.fluid').attributes('width')).toBe('50%')
    expect(Number.parseFloat(stick.findAll('rect')[2]?.attributes('width') ?? '')).toBeCloseTo(20)
    expect(stick.find('.ghost').attributes('x1')).toBe('100%')
  })

  it('has a notch for a target', () => {
    const stick = mount(Stick, { props: { value: 50, total: 100, target: 80, scale: 'linear' } })
    expect(stick.find('.target').attributes('x')).toBe('80%')
    expect(
      mount(Stick, { props: { value: 5, total: 9 } })
        .find('.target')
        .exists(),
    ).toBe(false)
  })

  it('draws those beyond the level in parts that follow it', () => {
    const stick = mount(Stick, {
      props: { value: 50, total: 100, parts: [10, 0, 40], width: 100, scale: 'linear' },
    })
    const parts = stick
      .findAll('.part')
      .map((one) => [one.attributes('x'), one.attributes('width')])
    expect(parts).toEqual([
      ['50%', '10%'],
      ['60%', '0%'],
      ['60%', '40%'],
    ])
  })
})
