<script setup lang="ts">
import { AccountsPanel } from '@/accounts'
import { AuditPanel } from '@/audit'
import { LetterheadPanel } from '@/exchange'
import { RecordSystemsPanel } from '@/hooks'
import { LevelsPanel } from '@/levels'
import { ErasuresPanel } from '@/privacy'
import { RegionPanel } from '@/region'
import { OutcomesPanel, WorkloadPanel } from '@/outreach'
import { useSession, type Role } from '@/session'
import { BackupPanel } from '@/upkeep'
import { computed, ref } from 'vue'

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
  roles: readonly Role[]
}

const PARTS: readonly Part[] = [
  { id: 'levels', name: 'Levels over time', roles: ['COORDINATOR', 'MANAGER'] },
  { id: 'region', name: 'Region', roles: ['COORDINATOR', 'MANAGER'] },
  { id: 'workload', name: 'Workload', roles: ['COORDINATOR', 'MANAGER'] },
  { id: 'outcomes', name: 'Outcomes', roles: ['COORDINATOR'] },
  { id: 'letterhead', name: 'Letterhead', roles: ['COORDINATOR', 'ADMINISTRATOR'] },
  { id: 'systems', name: 'Record systems', roles: ['ADMINISTRATOR'] },
  { id: 'accounts', name: 'Accounts', roles: ['ADMINISTRATOR'] },
  { id: 'audit', name: 'Audit log', roles: ['MANAGER', 'ADMINISTRATOR'] },
  { id: 'erasures', name: 'Erasures', roles: ['COORDINATOR'] },
  { id: 'backup', name: 'Backup', roles: ['ADMINISTRATOR'] },
]

const parts = computed(() =>
  PARTS.filter((part) => part.roles.some((role) => session.roles.includes(role))),
)
const chosen = ref<Part['id']>()
const shown = computed(() => chosen.value ?? parts.value[0]?.id)
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>Practice</h1>
      <div class="parts" role="toolbar" aria-label="Parts of this place">
        <button
          v-for="part in parts"
          :key="part.id"
          :aria-pressed="part.id === shown"
          @click="chosen = part.id"
        >
          {{ part.name }}
        </button>
      </div>
    </div>
    <LevelsPanel v-if="shown === 'levels'" />
    <RegionPanel v-else-if="shown === 'region'" />
    <WorkloadPanel v-else-if="shown === 'workload'" />
    <OutcomesPanel v-else-if="shown === 'outcomes'" />
    <LetterheadPanel v-else-if="shown === 'letterhead'" />
    <RecordSystemsPanel v-else-if="shown === 'systems'" />
    <AccountsPanel v-else-if="shown === 'accounts'" />
    <AuditPanel v-else-if="shown === 'audit'" />
    <ErasuresPanel v-else-if="shown === 'erasures'" />
    <BackupPanel v-else-if="shown === 'backup'" />
  </div>
</template>

<style scoped>
.parts button {
  border: 0;
  border-bottom: 2px solid transparent;
  background: none;
  color: var(--ink);
  padding: 3px 9px;
  cursor: pointer;
}

.parts button[aria-pressed='true'] {
  border-bottom-color: var(--amber);
  background: #efe7d4;
}
</style>
