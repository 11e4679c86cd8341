<script setup lang="ts">
import type { Schemas } from '@/api/client'
import Select from 'primevue/select'
import { computed, useId } from 'vue'

/** Which sheet of a workbook is read, or in which encoding a text: what was found, to be said otherwise. */
const { found, working } = defineProps<{ found: Schemas['ReadAs']; working: boolean }>()
const emit = defineEmits<{ change: [wanted: Schemas['ReadingWanted']] }>()

const id = useId()

const ENCODINGS = [
  { value: 'UTF-8', words: 'UTF-8' },
  { value: 'windows-1252', words: 'western European (Windows)' },
  { value: 'ISO-8859-15', words: 'western European (ISO)' },
  { value: 'windows-1250', words: 'central European (Windows)' },
  { value: 'ISO-8859-2', words: 'central European (ISO)' },
  { value: 'windows-1251', words: 'Cyrillic (Windows)' },
  { value: 'windows-1253', words: 'Greek (Windows)' },
  { value: 'windows-1254', words: 'Turkish (Windows)' },
  { value: 'windows-1257', words: 'Baltic (Windows)' },
  { value: 'IBM850', words: 'western European (DOS)' },
  { value: 'UTF-16LE', words: 'UTF-16' },
  { value: 'Shift_JIS', words: 'Japanese' },
  { value: 'GB18030', words: 'Chinese' },
]
const SEPARATORS = [
  { value: ',', words: 'commas' },
  { value: ';', words: 'semicolons' },
  { value: '\t', words: 'tabs' },
  { value: '|', words: 'bars' },
]

interface Choice {
  value: string
  words: string
}

const encodings = computed(() =>
  ENCODINGS.some(({ value }) => value === found.encoding)
    ? ENCODINGS
    : [{ value: found.encoding, words: found.encoding }, ...ENCODINGS],
)

/** What can be said otherwise of this file. */
const asked = computed(() => {
  const all: { what: keyof Schemas['ReadingWanted']; words: string; choices: Choice[] }[] = [
    {
      what: 'sheet',
      words: 'Read from the sheet',
      choices: found.sheets.map((sheet) => ({ value: sheet, words: sheet })),
    },
    { what: 'encoding', words: 'Letters as', choices: encodings.value },
    { what: 'separator', words: 'cells parted by', choices: SEPARATORS },
  ]
  return all.filter(({ what }) => (what === 'sheet' ? found.sheets.length > 1 : found[what] !== ''))
})

function change(what: keyof Schemas['ReadingWanted'], value: string) {
  const { encoding, separator } = found
  emit('change', { encoding, separator, sheet: '', [what]: value })
}
</script>

<template>
  <div v-if="asked.length" class="read-as">
    <template v-for="one in asked" :key="one.what">
      <span :id="`${id}-${one.what}`">{{ one.words }}</span>
      <Select
        :model-value="found[one.what]"
        :options="one.choices"
        option-label="words"
        option-value="value"
        size="small"
        :disabled="working"
        :aria-labelledby="`${id}-${one.what}`"
        @update:model-value="change(one.what, $event as string)"
      />
    </template>
  </div>
</template>

<style scoped>
.read-as {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
  margin: 10px 0;
}
</style>
