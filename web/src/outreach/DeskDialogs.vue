<script lang="ts">
/** What stands over a desk, one at a time. */
export type Shown =
  | ''
  | 'readings'
  | 'manner'
  | 'sharing'
  | 'plan'
  | 'excuse'
  | 'close'
  | 'give'
  | 'view'
  | 'out'
  | 'prompt'
  | 'sending'
</script>

<script setup lang="ts">
import { OutDialog } from '@/exchange'
import { ReadingsDialog } from '@/lists'
import { PromptRuleDialog } from '@/prompts'
import { SendingsDialog } from '@/sending'
import { SharingDialog } from '@/sharing'
import { computed } from 'vue'
import GiveDialog from './GiveDialog.vue'
import MannerDialog from './MannerDialog.vue'
import PlanDialog from './PlanDialog.vue'
import ReasonDialog from './ReasonDialog.vue'
import type { useDeskActs } from './useDeskActs'
import type { DeskView, Marked } from './useDeskPages'
import type { useViews } from './useViews'
import ViewDialog from './ViewDialog.vue'

/** The dialogs of a desk. */
const shown = defineModel<Shown>('shown', { required: true })
const { id, desk, people, takenOut, example, today, mayChange, acts, views } = defineProps<{
  id: string
  desk: DeskView | undefined
  /** How many it is about. */
  people: number
  /** Who is taken out. */
  takenOut: readonly Marked[]
  /** Whoever a letter is shown for. */
  example: string
  today: string
  mayChange: boolean
  acts: Pick<ReturnType<typeof useDeskActs>, 'plan' | 'excuse' | 'close' | 'give' | 'logWritten'>
  views: ReturnType<typeof useViews>
}>()

const name = computed(() => desk?.name ?? '')

function model(one: Shown) {
  return computed({
    get: () => shown.value === one,
    set: (open: boolean) => (shown.value = open ? one : ''),
  })
}
const readings = model('readings')
const manner = model('manner')
const sharing = model('sharing')
const plan = model('plan')
const excuse = model('excuse')
const close = model('close')
const give = model('give')
const view = model('view')
const out = model('out')
const prompt = model('prompt')
const sending = model('sending')
</script>

<template>
  <ReadingsDialog :id="id" v-model:visible="readings" :name="name" :may-change="mayChange" />
  <MannerDialog v-if="desk" :id="id" v-model:visible="manner" :desk="desk" />
  <PromptRuleDialog :id="id" v-model:visible="prompt" :name="name" />
  <SendingsDialog :id="id" v-model:visible="sending" :name="name" :may-change="mayChange" />
  <SharingDialog :id="id" v-model:visible="sharing" :name="name" />
  <PlanDialog v-model:visible="plan" :today="today" @plan="acts.plan" />
  <ReasonDialog
    v-model:visible="excuse"
    what="excuse"
    :people="people"
    :today="today"
    @save="acts.excuse"
  />
  <ReasonDialog
    v-model:visible="close"
    what="close"
    :people="people"
    :today="today"
    @save="acts.close"
  />
  <GiveDialog v-model:visible="give" :people="people" @give="acts.give" />
  <OutDialog
    v-model:visible="out"
    :list="id"
    :people="takenOut.map((one) => one.person)"
    :to-check="takenOut.filter((one) => one.standing === 'CHECK').length"
    :may-change="mayChange"
    :show="desk?.show ?? []"
    :example="example"
    @written="acts.logWritten"
  />
  <ViewDialog
    v-model:visible="view"
    :view="views.view.value"
    :views="views.views.value"
    :usual="views.usual.value"
    :columns="views.columns.value"
    @use="views.use"
    @save="views.save"
  />
</template>
