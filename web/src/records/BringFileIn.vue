<script setup lang="ts">
import { answerOf, send, sentenceOf, type Schemas } from '@/api/client'
import ProgressBar from 'primevue/progressbar'
import { computed, onMounted, ref, shallowRef, useTemplateRef } from 'vue'
import DeliverySheet from './DeliverySheet.vue'
import { ENDINGS, sendFile, STANDARDS, together, type DeliveryView, type Step } from './deliveries'

/** Brings one file in: send it, see what it means and what it would change, take it or leave it. */
const emit = defineEmits<{ taken: [] }>()

const STANDARD_WORDS = new Intl.ListFormat('en-GB', { type: 'disjunction' }).format(STANDARDS)

/** A bar for less would only flicker. */
const BAR_FROM_BYTES = 3_000_000

const step = shallowRef<Step>({ at: 'nothing' })
const picker = useTemplateRef('picker')
const over = ref(false)
/** The file that is on its way in, once it is sent. */
const delivery = shallowRef<DeliveryView>()
/** Whether something is being done with it; another one waits, so that neither is told of as the other. */
const working = ref(false)
const waits = ref('')

const percentSent = computed(() =>
  step.value.at === 'sending' && step.value.total > BAR_FROM_BYTES
    ? Math.round((100 * step.value.sent) / step.value.total)
    : undefined,
)

async function start(files: Iterable<File> | undefined | null) {
  const chosen = [...(files ?? [])]
  const file = together(chosen)
  if (!file) {
    waits.value = chosen.length
      ? `Several files come in at once where they are of one export in ${STANDARD_WORDS}. Bring in others one by one; none was sent.`
      : ''
    return
  }
  if (working.value || step.value.at === 'sending') {
    waits.value = `One file after another: ${file.name} was not sent. Bring it in once this one is through.`
    return
  }
  waits.value = ''
  step.value = { at: 'sending', name: file.name, sent: 0, total: file.size }
  delivery.value = undefined
  try {
    delivery.value = await sendFile<DeliveryView>(
      file,
      `/api/deliveries?name=${encodeURIComponent(file.name)}`,
      (sent) => {
        step.value = { at: 'sending', name: file.name, sent, total: file.size }
      },
    )
    step.value = { at: 'nothing' }
  } catch (failure) {
    step.value = { at: 'refused', reason: sentenceOf(failure) }
  } finally {
    if (picker.value) {
      picker.value.value = ''
    }
  }
}

function left() {
  delivery.value = undefined
  working.value = false
}

const samples = shallowRef<Schemas['SampleView'][]>([])

onMounted(async () => {
  try {
    samples.value = await send<Schemas['SampleView'][]>('/api/deliveries/samples')
  } catch {
    // Without them nothing is missing: they are there to try things with.
    samples.value = []
  }
})

async function trySample(name: string) {
  try {
    const answer = await answerOf(`/api/deliveries/samples/${encodeURIComponent(name)}`)
    await start([new File([await answer.blob()], name)])
  } catch (failure) {
    step.value = { at: 'refused', reason: sentenceOf(failure) }
  }
}

function dropped(event: DragEvent) {
  over.value = false
  void start(event.dataTransfer?.files)
}
</script>

<template>
  <section
    class="import"
    :class="{ over }"
    aria-label="Bring a file in"
    @dragover.prevent="over = true"
    @dragleave="over = false"
    @drop.prevent="dropped"
  >
    <div class="pick">
      <label for="file">Bring a file in, as any of your systems writes it</label>
      <input
        id="file"
        ref="picker"
        type="file"
        multiple
        :accept="[...ENDINGS, 'text/csv'].join(',')"
        @change="start(picker?.files)"
      />
      <span class="quiet">
        or drop the file here. Nothing is taken before you have seen what is in it.
      </span>
    </div>

    <p v-if="samples.length" class="quiet samples">
      Try it with these:
      <template v-for="(sample, i) in samples" :key="sample.name"
        ><template v-if="i">, </template
        ><button type="button" class="word" @click="trySample(sample.name)">
          {{ sample.name }}
        </button>
        ({{ sample.what }})</template
      >
    </p>

    <ProgressBar v-if="percentSent !== undefined" :value="percentSent" aria-label="Sending" />
    <p v-else-if="step.at === 'sending'" role="status">Sending {{ step.name }} …</p>
    <p v-if="step.at === 'refused'" class="notice" role="alert">{{ step.reason }}</p>
    <p v-if="waits" class="notice" role="alert">{{ waits }}</p>

    <DeliverySheet
      v-if="delivery"
      :key="delivery.id"
      :delivery="delivery"
      @working="working = $event"
      @taken="emit('taken')"
      @left="left"
    />
  </section>
</template>

<style scoped>
/* What stands over two lines is far enough apart to be pressed. */
.samples {
  line-height: 30px;
}

.import {
  border: 1px dashed var(--soft-ink);
  background: var(--sheet);
  padding: 12px 16px;
  margin-bottom: 16px;
}

.import.over {
  border-color: var(--verdigris);
  background: var(--pointed);
}

.pick {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
}

label {
  font-weight: 600;
}

input::file-selector-button {
  font: inherit;
  color: var(--paper);
  background: var(--verdigris);
  border: 0;
  border-radius: 3px;
  padding: 5px 10px;
  margin-right: 8px;
  cursor: pointer;
}

[role='progressbar'] {
  margin: 8px 0;
}
</style>
