<script setup lang="ts">
import { LIMITS } from '@/api/limits'
import { FormDialog } from '@/controls'
import { sendJson, type Schemas } from '@/api/client'
import { useNewest } from '@/api/newest'
import { count } from '@/stick'
import { refDebounced } from '@vueuse/core'
import Textarea from 'primevue/textarea'
import { computed, ref, shallowRef, watch } from 'vue'
import type { CriteriaDocument } from './document'

/** What publishing would change, in words and in people, and a note on why it is done. */
const visible = defineModel<boolean>('visible', { required: true })
const { id, document, publishing, problem } = defineProps<{
  id: string
  document: CriteriaDocument
  publishing: boolean
  problem: string
}>()
const emit = defineEmits<{ publish: [note: string] }>()

const note = ref('')
const next = shallowRef<Schemas['SetVersion']>()
const { ask, forget, problem: failed } = useNewest()
const of = refDebounced(
  computed(() => (visible.value ? document : undefined)),
  50,
)

watch(visible, (shown) => {
  if (shown) {
    note.value = ''
    next.value = undefined
    forget()
  }
})

watch(of, (what) => {
  if (what) {
    const address = `/api/criteria/${encodeURIComponent(id)}/versions/next` as const
    void ask(
      (signal) => sendJson<Schemas['SetVersion']>('POST', address, { ...what, id }, { signal }),
      (told) => {
        next.value = told
      },
    )
  }
})
</script>

<template>
  <FormDialog
    v-model:visible="visible"
    :header="next ? `Publish version ${String(next.version)}` : 'Publish'"
    action="Publish"
    leave="Not yet"
    :width="640"
    :problem="problem || failed"
    :busy="publishing"
    stacked
    @done="emit('publish', note.trim())"
  >
    <template v-if="next">
      <p>
        {{ count(next.on) }} on the list today<template v-if="next.toCheck"
          >, {{ count(next.toCheck) }} to check, since the records do not say enough</template
        ><template v-if="next.version > 1"
          >: {{ count(next.joined) }} join, {{ count(next.left) }} leave by it</template
        >.
      </p>
      <ul v-if="next.changes.length">
        <li v-for="change in next.changes" :key="change">{{ change }}</li>
      </ul>
      <p v-else-if="next.version > 1" class="quiet">Nothing in it says otherwise than before.</p>
      <ul v-if="next.doubts.length" class="doubts" aria-label="Doubts">
        <li v-for="doubt in next.doubts" :key="doubt">{{ doubt }}</li>
      </ul>
    </template>
    <p v-else-if="!failed" class="quiet">What it would change is being read.</p>
    <label>
      Why (others will read this beside the version)
      <Textarea v-model="note" rows="2" :maxlength="LIMITS.Publishing.note.maxLength" autofocus />
    </label>
  </FormDialog>
</template>

<style scoped>
label {
  display: grid;
  gap: 3px;
}

.doubts {
  color: var(--brick);
}
</style>
