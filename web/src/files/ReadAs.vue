<script setup lang="ts">
import type { Schemas } from '@/api/client'
import Select from 'primevue/select'
import { computed, useId } from 'vue'

/** Which sheet of a workbook is read, or in which encoding a text: what was found, to be said otherwise. */
const { found, working } = defineProps<{ found: Schemas['ReadAs']; working: boolean }>()
const emit = defineEmits<{ change: [wanted: Schemas['ReadingWanted']] }>()

const id = useId()

const ENCODINGS = [
  { encoding: 'UTF-8', words: 'UTF-8' },
  { encoding: 'windows-1252', words: 'western European (Windows)' },
  { encoding: 'ISO-8859-15', words: 'western European (ISO)' },
  { encoding: 'windows-1250', words: 'central European (Windows)' },
  { encoding: 'ISO-8859-2', words: 'central European (ISO)' },
  { encoding: 'windows-1251', words: 'Cyrillic (Windows)' },
  { encoding: 'windows-1253', words: 'Greek (Windows)' },
  { encoding: 'windows-1254', words: 'Turkish (Windows)' },
  { encoding: 'windows-1257', words: 'Baltic (Windows)' },
  { encoding: 'IBM850', words: 'western European (DOS)' },
  { encoding: 'UTF-16LE', words: 'UTF-16' },
  { encoding: 'Shift_JIS', words: 'Japanese' },
  { encoding: 'GB18030', words: 'Chinese' },
]
const SEPARATORS = [
  { separator: ',', words: 'commas' },
  { separator: ';', words: 'semicolons' },
  { separator: '\t', words: 'tabs' },
  { separator: '|', words: 'bars' },
]

const encodings = computed(() =>
  ENCODINGS.some(({ encoding }) => encoding === found.encoding)
    ? ENCODINGS
    : [{ encoding: found.encoding, words: found.encoding }, ...ENCODINGS],
)

function change(part: Partial<Schemas['ReadingWanted']>) {
  emit('change', { encoding: '', separator: '', sheet: '', ...part })
}
</script>

<template>
  <div v-if="found.sheets.length > 1 || found.encoding" class="read-as">
    <template v-if="found.sheets.length > 1">
      <span :id="`${id}-sheet`">Read from the sheet</span>
      <Select
        :model-value="found.sheet"
        :options="found.sheets"
        size="small"
        :disabled="working"
        :aria-labelledby="`${id}-sheet`"
        @update:model-value="change({ sheet: $event as string })"
      />
    </template>
    <template v-if="found.encoding">
      <span :id="`${id}-encoding`">Letters as</span>
      <Select
        :model-value="found.encoding"
        :options="encodings"
        option-label="words"
        option-value="encoding"
        size="small"
        :disabled="working"
        :aria-labelledby="`${id}-encoding`"
        @update:model-value="change({ encoding: $event as string, separator: found.separator })"
      />
    </template>
    <template v-if="found.separator">
      <span :id="`${id}-separator`">cells parted by</span>
      <Select
        :model-value="found.separator"
        :options="SEPARATORS"
        option-label="words"
        option-value="separator"
        size="small"
        :disabled="working"
        :aria-labelledby="`${id}-separator`"
        @update:model-value="change({ encoding: found.encoding, separator: $event as string })"
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
