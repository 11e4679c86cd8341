import { send, type Schemas } from '@/api/client'

/** Who on a list comes in within a week. */
export const comingInQuery = {
  queryKey: ['prompts', 'coming in'],
  queryFn: () => send<Schemas['ComingIn'][]>('/api/coming-in'),
}
