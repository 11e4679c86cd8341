<script setup lang="ts">
import { send, sendJson, sentenceOf, type Schemas } from '@/api/client'
import { useNewest } from '@/api/newest'
import { rostersQuery } from '@/criteria'
import { OpenDates, ReadAs } from '@/files'
import { useLists } from '@/lists'
import { count } from '@/stick'
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import Select from 'primevue/select'
import { computed, ref, shallowRef, useTemplateRef } from 'vue'
import { COMPARISONS, type Side } from './sidebyside'

/** One of two lists: a file, a shared roster, a list, or everybody on file. */
const side = defineModel<Side | undefined>({ required: true })
const { title, waitsFor } = defineProps<{
  title: string
  /** The name of the file that stood here the last time; empty where none is waited for. */
  waitsFor: string
}>()
const emit = defineEmits<{ files: [files: File[]] }>()

const { data: rosters, error: noRosters } = useQuery(rostersQuery)
const { data: lists, error: noLists } = useLists()
const picker = useTemplateRef('picker')
const over = ref(false)
const chosen = ref<string>()
const file = shallowRef<File>()
const bringing = useNewest()

interface Choice {
  value: string
  label: string
}

const choices = computed<{ label: string; items: Choice[] }[]>(() => [
  { label: 'People', items: [{ value: 'PEOPLE ', label: 'everybody on file' }] },
  {
    label: 'Rosters',
    items: (rosters.value ?? []).map((one) => ({ value: `ROSTER ${one.id}`, label: one.name })),
  },
  {
    label: 'Lists, as of today',
    items: (lists.value ?? []).map((one) => ({ value: `LIST ${one.id}`, label: one.name })),
  },
])

function bring(kind: string, ref: string): Promise<void> {
  file.value = undefined
  return bringing.ask(
    (signal) => sendJson<Side>('POST', `${COMPARISONS}/things`, { kind, ref }, { signal }),
    (answer) => {
      side.value = answer
    },
  )
}

/** What is said of how the file is read, where somebody says it otherwise than it was found. */
let said: Record<string, string> = {}

function bringFile(one: File, more: Record<string, string> = {}): Promise<void> {
  said = file.value === one ? { ...said, ...more } : more
  file.value = one
  chosen.value = undefined
  const how = new URLSearchParams({ name: one.name, ...said })

  return bringing.ask(
    (signal) =>
      send<Schemas['ThingsView']>(`${COMPARISONS}/files?${how.toString()}`, {
        method: 'POST',
        body: one,
        headers: { 'Content-Type': 'application/octet-stream' },
        signal,
      }),
    (answer) => {
      side.value = answer
    },
  )
}

function choose(value: string) {
  const [kind = '', ref = ''] = value.split(/ (.*)/s)
  void bring(kind, ref)
}

function given(files: FileList | null | undefined) {
  over.value = false
  const all = [...(files ?? [])]
  if (picker.value) {
    picker.value.value = ''
  }
  if (all.length) {
    emit('files', all)
  }
}

defineExpose({ bring, bringFile })
</script>

<template>
  <section
    class="side"
    :class="{ over }"
    :aria-label="title"
    @dragover.prevent="over = true"
    @dragleave="over = false"
    @drop.prevent="given($event.dataTransfer?.files)"
  >
    <h2>{{ title }}</h2>
    <div class="choose">
      <Button size="small" outlined label="Choose a file…" @click="picker?.click()" />
      <span>or</span>
      <Select
        v-model="chosen"
        :options="choices"
        option-label="label"
        option-value="value"
        option-group-label="label"
        option-group-children="items"
        placeholder="what is here"
        :aria-label="`${title}: what is here`"
        filter
        @update:model-value="choose($event as string)"
      />
      <input
        ref="picker"
        type="file"
        multiple
        hidden
        :aria-label="`${title}: a file`"
        @change="given(picker?.files)"
      />
    </div>
    <p v-if="noRosters ?? noLists" class="notice" role="alert">
      {{ sentenceOf(noRosters ?? noLists) }}
    </p>
    <ReadAs
      v-if="file && side?.readAs"
      :found="side.readAs"
      :working="bringing.asking.value"
      @change="bringFile(file, { ...$event })"
    />
    <p v-if="bringing.problem.value" class="notice" role="alert">{{ bringing.problem.value }}</p>
    <p v-else-if="bringing.asking.value" role="status">
      Reading {{ file?.name ?? 'what is here' }} …
    </p>
    <template v-else-if="side">
      <p>
        <strong>{{ side.name }}</strong>: {{ count(side.rows) }}
        {{ side.rows === 1 ? 'row' : 'rows' }}, {{ count(side.columns.length) }} columns<template
          v-if="side.said"
          >; {{ side.said }}</template
        >
      </p>
      <p v-if="side.unreadable" class="notice">
        {{ count(side.unreadable) }} {{ side.unreadable === 1 ? 'row holds' : 'rows hold' }} what
        cannot be read; it stands as it is written. {{ side.troubles[0] }}
      </p>
      <OpenDates v-if="side.openDates && file" @chosen="bringFile(file, { dates: $event })" />
    </template>
    <p v-else class="quiet">
      <template v-if="waitsFor">Bring the file that stands where {{ waitsFor }} stood.</template>
      <template v-else
        >A file of any kind that comes in can be dropped here; it is not kept.</template
      >
    </p>
  </section>
</template>

<style scoped>
.side {
  border: 1px dashed var(--rule);
  padding: 8px 14px;
}

.over {
  background: var(--pressed);
}

.choose {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
</style>
