<script setup lang="ts">
import { usePageTitle } from '@/address'
import { ifMatch, send, sendJson, sentenceOf, type Schemas } from '@/api/client'
import { LIMITS } from '@/api/limits'
import { useNewest } from '@/api/newest'
import { firstFree, slug } from '@/criteria'
import { RecordsHead } from '@/records'
import { count } from '@/stick'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref, shallowRef, useTemplateRef, watch } from 'vue'
import PairedColumns from './PairedColumns.vue'
import PileTable from './PileTable.vue'
import SavedComparisons from './SavedComparisons.vue'
import SideChooser from './SideChooser.vue'
import {
  COMPARISONS,
  fits,
  likelyCompared,
  likelyKey,
  likeness,
  type ComparedPair,
  type KeyPair,
  type Pile,
  type Saved,
  type Side,
} from './sidebyside'

/** Any two files, rosters or lists laid side by side: only in one, in both, and in which cells they differ. */
const queries = useQueryClient()
usePageTitle(() => ['Side by side', 'Records'])
const { data: saved, error } = useQuery({
  queryKey: ['comparisons'],
  queryFn: () => send<Saved[]>(COMPARISONS),
})

const here = shallowRef<Side>()
const there = shallowRef<Side>()
const key = ref<KeyPair[]>([])
const compared = ref<ComparedPair[]>([])
const laid = shallowRef<Schemas['LaidView']>()
const pile = ref<Pile>('ONLY_HERE')
/** The saved one that is laid again. */
const again = shallowRef<Saved>()
const name = ref('')
const said = ref('')
const refused = ref('')
const laying = useNewest()
const one = useTemplateRef('one')
const other = useTemplateRef('other')

const piles = computed(() => {
  const [h, t] = [here.value?.name ?? '', there.value?.name ?? '']
  const now = laid.value
  return now
    ? [
        { pile: 'ONLY_HERE' as const, words: `Only in ${h}`, number: now.onlyHere },
        { pile: 'ONLY_THERE' as const, words: `Only in ${t}`, number: now.onlyThere },
        { pile: 'DIFFERING' as const, words: 'In both, not the same', number: now.differing },
        { pile: 'SAME' as const, words: 'In both, the same', number: now.same },
        { pile: 'SEVERAL' as const, words: 'More than once in a list', number: now.several },
        { pile: 'UNKNOWN_HERE' as const, words: `Blank in ${h}`, number: now.unknownHere },
        { pile: 'UNKNOWN_THERE' as const, words: `Blank in ${t}`, number: now.unknownThere },
      ].filter((each) => each.number > 0 || !each.pile.startsWith('UNKNOWN'))
    : []
})

/** Two lists are there: they are paired as the saved one says, where that fits; else as looks likely. */
watch([here, there], ([h, t]) => {
  laid.value = undefined
  if (!h || !t) {
    return
  }
  const document = again.value?.document
  const paired = [...(document?.key ?? []), ...(document?.compared ?? [])]
  const columns = { here: paired.map((pair) => pair.here), there: paired.map((pair) => pair.there) }
  if (document && fits(h, columns.here) && fits(t, columns.there)) {
    key.value = [...document.key]
    compared.value = [...document.compared]
  } else if (
    !key.value.length ||
    !fits(
      h,
      [...key.value, ...compared.value].map((pair) => pair.here),
    ) ||
    !fits(
      t,
      [...key.value, ...compared.value].map((pair) => pair.there),
    )
  ) {
    key.value = likelyKey(h, t)
    compared.value = likelyCompared(h, t, key.value)
  }
})

watch([here, there, key, compared], ([h, t, pairs, columns]) => {
  laid.value = undefined
  if (h && t && pairs.length) {
    void laying.ask(
      (signal) =>
        sendJson<Schemas['LaidView']>(
          'POST',
          `${COMPARISONS}/laid`,
          { here: h.id, there: t.id, key: pairs, compared: columns },
          { signal },
        ),
      (answer) => {
        laid.value = answer
      },
    )
  } else {
    laying.forget()
  }
})

/** One file goes where it was brought; of two, each where one with such columns stood, else in their order. */
async function files(all: File[], to: 'here' | 'there') {
  refused.value = ''
  const [first, second] = all
  if (all.length > 2 || !first) {
    refused.value =
      'Two files are laid side by side. Bring no more than two at once; none was read.'
    return
  }
  if (!second) {
    await (to === 'here' ? one.value : other.value)?.bringFile(first)
    return
  }
  await Promise.all([one.value?.bringFile(first), other.value?.bringFile(second)])
  const document = again.value?.document
  if (document && here.value && there.value) {
    const as = (h: Side, t: Side) =>
      likeness(h, document.here.columns) + likeness(t, document.there.columns)
    if (as(there.value, here.value) > as(here.value, there.value)) {
      swap()
    }
  }
}

function swap() {
  const was = here.value
  here.value = there.value
  there.value = was
}

/** Lays a saved one again: what is here is brought at once, files are waited for. */
async function open(comparison: Saved) {
  again.value = comparison
  name.value = comparison.name
  said.value = ''
  refused.value = ''
  here.value = undefined
  there.value = undefined
  key.value = [...comparison.document.key]
  compared.value = [...comparison.document.compared]
  const { here: h, there: t } = comparison.document
  await Promise.all([
    h.kind === 'FILE' ? undefined : one.value?.bring(h.kind, h.ref),
    t.kind === 'FILE' ? undefined : other.value?.bring(t.kind, t.ref),
  ])
}

async function save() {
  const [h, t] = [here.value, there.value]
  if (!h || !t) {
    return
  }
  said.value = ''
  refused.value = ''
  const source = (side: Side) => ({
    kind: side.kind,
    ref: side.ref,
    name: side.name,
    columns: side.columns.map((column) => column.name),
  })
  const same = again.value?.name === name.value.trim() ? again.value : undefined
  const taken = new Set((saved.value ?? []).map((each) => each.id))
  const id = same?.id ?? firstFree(slug(name.value) || 'comparison', taken)
  try {
    again.value = await sendJson<Saved>(
      'PUT',
      `${COMPARISONS}/${encodeURIComponent(id)}`,
      {
        name: name.value,
        here: source(h),
        there: source(t),
        key: key.value,
        compared: compared.value,
      },
      same ? ifMatch(same.version) : {},
    )
    said.value = `“${name.value.trim()}” is saved. The next files need no more than to be brought here; what stands in them is not kept.`
  } catch (failure) {
    refused.value = sentenceOf(failure)
  }
  await queries.invalidateQueries({ queryKey: ['comparisons'] })
}

async function remove(comparison: Saved) {
  said.value = ''
  refused.value = ''
  try {
    await send(`${COMPARISONS}/${encodeURIComponent(comparison.id)}`, {
      method: 'DELETE',
      ...ifMatch(comparison.version),
    })
    said.value = `“${comparison.name}” is not kept any more.`
    if (again.value?.id === comparison.id) {
      again.value = undefined
    }
  } catch (failure) {
    refused.value = sentenceOf(failure)
  }
  await queries.invalidateQueries({ queryKey: ['comparisons'] })
}

function waitsFor(side: 'here' | 'there'): string {
  const source = again.value?.document[side]
  return source?.kind === 'FILE' ? source.name : ''
}
</script>

<template>
  <div class="page">
    <RecordsHead />
    <p class="quiet">
      What is in one and not in the other, and where both differ: two files, or a file beside a
      roster, a list or everybody on file. Bring both; columns of one name, or of one field, are
      paired.
    </p>
    <p v-if="error" class="notice" role="alert">{{ sentenceOf(error) }}</p>
    <SavedComparisons
      v-if="saved?.length"
      :saved="saved"
      :open="again?.id ?? ''"
      @open="open"
      @remove="remove"
    />
    <p v-if="said" role="status">{{ said }}</p>
    <p v-if="refused" class="notice" role="alert">{{ refused }}</p>
    <div class="sides">
      <SideChooser
        ref="one"
        v-model="here"
        title="One"
        :waits-for="waitsFor('here')"
        @files="files($event, 'here')"
      />
      <SideChooser
        ref="other"
        v-model="there"
        title="The other"
        :waits-for="waitsFor('there')"
        @files="files($event, 'there')"
      />
    </div>
    <template v-if="here && there">
      <Button size="small" text label="Exchange the two" @click="swap" />
      <PairedColumns
        v-model:paired-key="key"
        v-model:compared="compared"
        :here="here"
        :there="there"
      />
      <p v-if="key.length === 0" class="notice">
        No column is the same in both. Say what tells their rows apart.
      </p>
      <p v-if="laying.problem.value" class="notice" role="alert">{{ laying.problem.value }}</p>
      <p v-else-if="laying.asking.value" role="status">Laying them side by side …</p>
      <template v-else-if="laid">
        <div class="piles one-of" role="group" aria-label="What came of it">
          <button
            v-for="each in piles"
            :key="each.pile"
            type="button"
            :aria-pressed="pile === each.pile"
            @click="pile = each.pile"
          >
            <strong>{{ count(each.number) }}</strong> {{ each.words }}
          </button>
        </div>
        <PileTable :laid="laid.id" :pile="pile" />
        <form class="keep" @submit.prevent="save">
          <label>
            To do this again with one action, as
            <InputText
              v-model="name"
              :maxlength="LIMITS.ComparisonChange.name.maxLength"
              size="small"
              placeholder="Wishes of the week"
            />
          </label>
          <Button type="submit" size="small" outlined label="Save" :disabled="!name.trim()" />
        </form>
      </template>
    </template>
  </div>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(320px, 100%), 1fr));
  gap: 12px 24px;
  margin-bottom: 12px;
}

.piles {
  border-bottom: 1px solid var(--rule);
  margin-top: 12px;
}

.keep {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin-top: 12px;
}
</style>
