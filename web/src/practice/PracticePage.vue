<script setup lang="ts">
import { AccountsPanel } from '@/accounts'
import { usePageTitle } from '@/address'
import { AuditPanel } from '@/audit'
import { LetterheadPanel } from '@/exchange'
import { RecordSystemsPanel } from '@/hooks'
import { LevelsPanel } from '@/levels'
import { ErasuresPanel } from '@/privacy'
import { RegionPanel } from '@/region'
import { OutcomesPanel, WorkloadPanel } from '@/outreach'
import { useSession, type Duty } from '@/session'
import { BackupPanel } from '@/upkeep'
import { computed } from 'vue'
import { RouterLink } from 'vue-router'

/** How the practice stands: levels over time, what can come of an attempt, who may do what, and who did what. */
const session = useSession()

interface Part {
  id:
    | 'levels'
    | 'region'
    | 'workload'
    | 'outcomes'
    | 'letterhead'
    | 'systems'
    | 'accounts'
    | 'audit'
    | 'erasures'
    | 'backup'
  name: string
  duty: Duty
}

const PARTS: readonly Part[] = [
  { id: 'levels', name: 'Levels over time', duty: 'REVIEW_WORK' },
  { id: 'region', name: 'Region', duty: 'REVIEW_WORK' },
  { id: 'workload', name: 'Workload', duty: 'REVIEW_WORK' },
  { id: 'outcomes', name: 'Outcomes', duty: 'COORDINATE' },
  { id: 'letterhead', name: 'Letterhead', duty: 'KEEP_LETTERHEAD' },
  { id: 'systems', name: 'Record systems', duty: 'KEEP_HOUSE' },
  { id: 'accounts', name: 'Accounts', duty: 'KEEP_HOUSE' },
  { id: 'audit', name: 'Audit log', duty: 'READ_AUDIT_LOG' },
  { id: 'erasures', name: 'Erasures', duty: 'COORDINATE' },
  { id: 'backup', name: 'Backup', duty: 'KEEP_HOUSE' },
]

const parts = computed(() => PARTS.filter((part) => session.has(part.duty)))
const { part: asked = '' } = defineProps<{ part?: string }>()
const shown = computed(() =>
  asked === '' ? parts.value[0] : parts.value.find((part) => part.id === asked),
)
usePageTitle(() => [shown.value?.name, 'Practice'])
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>Practice</h1>
      <nav class="one-of" aria-label="Parts of this place">
        <RouterLink
          v-for="one in parts"
          :key="one.id"
          :to="`/practice/${one.id}`"
          :aria-current="one.id === shown?.id ? 'page' : undefined"
          >{{ one.name }}</RouterLink
        >
      </nav>
    </div>
    <LevelsPanel v-if="shown?.id === 'levels'" />
    <RegionPanel v-else-if="shown?.id === 'region'" />
    <WorkloadPanel v-else-if="shown?.id === 'workload'" />
    <OutcomesPanel v-else-if="shown?.id === 'outcomes'" />
    <LetterheadPanel v-else-if="shown?.id === 'letterhead'" />
    <RecordSystemsPanel v-else-if="shown?.id === 'systems'" />
    <AccountsPanel v-else-if="shown?.id === 'accounts'" />
    <AuditPanel v-else-if="shown?.id === 'audit'" />
    <ErasuresPanel v-else-if="shown?.id === 'erasures'" />
    <BackupPanel v-else-if="shown?.id === 'backup'" />
    <p v-else class="quiet">There is no such part of this place for you.</p>
  </div>
</template>
