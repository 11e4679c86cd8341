import { useInAddress } from '@/address'
import { computed } from 'vue'
import { ALL_BANDS, QUEUES, type QueueId } from './queues'

/** How the address says that the whole list is looked at, though a part of it is given. */
const WHOLE = '*'

/** What the address of a desk says: the pile, the part of the list, the band, and who is open. */
export function useDeskAddress() {
  const saidQueue = useInAddress('queue')
  const queue = computed<QueueId>({
    get: () => QUEUES.find((one) => one.id === saidQueue.value)?.id ?? 'open',
    set: (pile) => (saidQueue.value = pile === 'open' ? '' : pile),
  })
  const saidPart = useInAddress('part')
  /** The part that was chosen; until then the desk opens on the one that is given to whoever sits down. */
  const chosenPart = computed({
    get: () => (saidPart.value === '' ? undefined : saidPart.value === WHOLE ? '' : saidPart.value),
    set: (name: string | undefined) => (saidPart.value = name === '' ? WHOLE : (name ?? '')),
  })
  return {
    queue,
    chosenPart,
    band: useInAddress('band', () => ALL_BANDS),
    current: useInAddress('person'),
  }
}
