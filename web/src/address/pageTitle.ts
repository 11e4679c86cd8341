import { useVeil } from '@/veil'
import { watchEffect } from 'vue'

const PRODUCT = 'Dipstick'

/**
 * What the browser calls a page, from what it shows to the place: who, which list, which place. While the veil is down nobody is
 * named there either.
 *
 * @param words of the page; what is not known yet is left out
 * @param person whoever is shown, if anybody is
 */
export function usePageTitle(
  words: () => readonly (string | undefined)[],
  person: () => string | undefined = () => undefined,
): void {
  const veil = useVeil()
  watchEffect(() => {
    const named = veil.isDown ? undefined : person()
    document.title = [named, ...words(), PRODUCT].filter((word) => word).join(' – ')
  })
}
