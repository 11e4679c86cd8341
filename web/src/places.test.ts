import { describe, expect, it } from 'vitest'
import { has, homeOf, placesOf } from './places'

describe('places', () => {
  it('are those of any of somebody’s roles', () => {
    expect(placesOf(['CALLER']).map((place) => place.name)).toEqual(['Lists'])
    expect(placesOf(['CALLER', 'ADMINISTRATOR']).map((place) => place.name)).toEqual([
      'Lists',
      'Records',
    ])
  })

  it('are closed to others with all that is under them', () => {
    expect(has(['CALLER'], '/records')).toBe(false)
    expect(has(['CALLER'], '/criteria/hearing')).toBe(false)
    expect(has(['CALLER'], '/lists/hearing')).toBe(true)
    expect(has(['COORDINATOR'], '/criteria/hearing')).toBe(true)
  })

  it('begin with the first that somebody has', () => {
    expect(homeOf(['COORDINATOR', 'ADMINISTRATOR'])).toBe('/criteria')
    expect(homeOf(['MANAGER'])).toBe('/lists')
    expect(homeOf([])).toBe('/')
  })
})
