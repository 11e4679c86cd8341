import { describe, expect, it } from 'vitest'
import { homeOf, mayGoTo, placesOf } from './places'

describe('places', () => {
  it('are those of any of somebody’s roles', () => {
    expect(placesOf(['CALLER']).map((place) => place.name)).toEqual(['Today', 'Lists'])
    expect(placesOf(['CALLER', 'ADMINISTRATOR']).map((place) => place.name)).toEqual([
      'Today',
      'Lists',
      'Records',
      'Practice',
    ])
  })

  it('are closed to others with all that is under them', () => {
    expect(mayGoTo('/records', ['CALLER'])).toBe(false)
    expect(mayGoTo('/criteria/hearing', ['CALLER'])).toBe(false)
    expect(mayGoTo('/lists/hearing', ['CALLER'])).toBe(true)
    expect(mayGoTo('/criteria/hearing', ['COORDINATOR'])).toBe(true)
  })

  it('begin with the first that somebody has', () => {
    expect(homeOf(['COORDINATOR', 'ADMINISTRATOR'])).toBe('/today')
    expect(homeOf(['ADMINISTRATOR'])).toBe('/records')
    expect(homeOf([])).toBe('/')
  })
})
