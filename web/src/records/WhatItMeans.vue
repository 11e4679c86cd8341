<script setup lang="ts">
import { computed } from 'vue'
import lengths from './lengths.json'
import { MEANINGS, withEverything, withMeaning, withRank, withSource, type Intake } from './intake'

/** What a delivery means for what is on file, and whose word counts. */
const { intake, working } = defineProps<{ intake: Intake; working: boolean }>()
const emit = defineEmits<{ mend: [next: Intake] }>()

const HIGHEST_RANK = 9

const everything = computed(() => intake.events?.some((records) => records.everything) ?? false)

function valueOf(event: Event): string {
  return (event.target as HTMLInputElement | HTMLSelectElement).value
}
</script>

<template>
  <section aria-label="What it means">
    <h2>What it means</h2>
    <p v-if="intake.people">
      <label
        >People
        <select
          class="plain"
          :value="intake.people.meaning ?? 'adds-and-changes'"
          :disabled="working"
          @change="emit('mend', withMeaning(intake, valueOf($event)))"
        >
          <option v-for="(words, meaning) in MEANINGS" :key="meaning" :value="meaning">
            {{ words }}
          </option>
        </select>
      </label>
    </p>
    <p v-if="intake.events?.length && intake.source">
      <label>
        <input
          type="checkbox"
          :checked="everything"
          :disabled="working"
          @change="emit('mend', withEverything(intake, !everything))"
        />
        It holds every record of this source, of its kinds: what is missing from it goes
      </label>
    </p>
    <p>
      <label
        >Source
        <input
          type="text"
          :maxlength="lengths.source"
          :value="intake.source ?? ''"
          :disabled="working"
          placeholder="none by name"
          @change="emit('mend', withSource(intake, valueOf($event)))"
        />
      </label>
      <label v-if="intake.source"
        >of rank
        <select
          class="plain"
          :value="intake.rank ?? 0"
          :disabled="working"
          @change="emit('mend', withRank(intake, Number(valueOf($event))))"
        >
          <option v-for="rank in HIGHEST_RANK + 1" :key="rank" :value="rank - 1">
            {{ rank - 1 }}
          </option>
        </select>
      </label>
    </p>
    <p class="quiet">
      A source keeps what it brought: another one fills blanks, and changes it only where it ranks
      higher.
    </p>
  </section>
</template>

<style scoped>
p {
  margin: 6px 0;
}

label + label {
  margin-left: 8px;
}
</style>
