import { afterEach, describe, expect, it } from 'vitest'
import { isTyped } from './isTyped'

afterEach(() => {
  document.body.innerHTML = ''
})

function typed(html: string, options: KeyboardEventInit = {}): boolean {
  document.body.innerHTML = html
  let answer: boolean | undefined
  document.body.addEventListener(
    'keydown',
    (event) => {
      answer = isTyped(event)
    },
    { once: true },
  )
  const target = document.querySelector('[data-target]') ?? document.body
  target.dispatchEvent(new KeyboardEvent('keydown', { key: 'n', bubbles: true, ...options }))
  if (answer === undefined) {
    throw new Error('The key did not arrive')
  }
  return answer
}

describe('a letter', () => {
  it.each([
    ['<input data-target>', true],
    ['<input type="checkbox" data-target>', false],
    ['<textarea data-target></textarea>', true],
    ['<select data-target></select>', true],
    ['<div role="dialog"><button data-target></button></div>', true],
    ['<ul role="listbox"><li data-target></li></ul>', true],
    ['<button data-target></button>', false],
    ['<div></div>', false],
  ])('at %s is typed: %s', (html, is) => {
    expect(typed(html)).toBe(is)
  })

  it('with Ctrl, Alt or the system’s key is meant for the browser', () => {
    expect(typed('<button data-target></button>', { ctrlKey: true })).toBe(true)
    expect(typed('<button data-target></button>', { altKey: true })).toBe(true)
    expect(typed('<button data-target></button>', { metaKey: true })).toBe(true)
  })
})
