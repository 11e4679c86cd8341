/**
 * How far the fluid reaches for a level, from 0 to 1.
 *
 * A root scale is for levels of a sheet, where a few dozen people out of thousands must still be seen; the same level
 * always reaches as far, and more people always reach farther. Coverage is linear.
 */
export function reach(value: number, total: number, scale: 'root' | 'linear'): number {
  if (total <= 0 || value <= 0) {
    return 0
  }
  const share = Math.min(1, value / total)
  return scale === 'root' ? Math.sqrt(share) : share
}

/** A count as people write it: 1,234. */
export function count(value: number): string {
  return value.toLocaleString('en-GB')
}

/** A share in whole percent; below one percent and above 99 it does not round to nobody or everybody. */
export function percent(value: number, total: number): string {
  if (total === 0) {
    return '–'
  }
  const exact = (100 * value) / total
  const rounded = Math.round(exact)
  if (value > 0 && rounded === 0) {
    return 'under 1%'
  }
  return value < total && rounded === 100 ? 'over 99%' : `${String(rounded)}%`
}
