import { config } from '@vue/test-utils'
import { afterEach, expect } from 'vitest'

/** What the framework warns of, such as a class or a value that is lost, is a fault of the page: the test fails by it. */
const warned: string[] = []
config.global.config = { warnHandler: (message) => warned.push(message) }

afterEach(() => {
  expect(warned.splice(0)).toEqual([])
})
