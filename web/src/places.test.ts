import { describe, expect, it } from 'vitest'
import { has, homeOf, placesOf } from './places'

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
    expect(has(['CALLER'], '/records')).toBe(false)
    expect(has(['CALLER'], '/criteria/hearing')).toBe(false)
    expect(has(['CALLER'], '/lists/hearing')).toBe(true)
    expect(has(['COORDINATOR'], '/criteria/hearing')).toBe(true)
  })

  it('begin with the first that somebody has', () => {
    expect(homeOf(['COORDINATOR', 'ADMINISTRATOR'])).toBe('/today')
    expect(homeOf(['ADMINISTRATOR'])).toBe('/records')
    expect(homeOf([])).toBe('/')
  })
})
