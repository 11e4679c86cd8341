<script setup lang="ts">
import { usePageTitle } from '@/address'
import { Drop } from '@/people'
import { Stick } from '@/stick'
import Button from 'primevue/button'
import DatePicker from 'primevue/datepicker'
import InputNumber from 'primevue/inputnumber'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { ref } from 'vue'
import { RouterLink } from 'vue-router'

/**
 * The few controls that pages are made of, and when each is used. It is there while pages are developed, and in nothing
 * that is installed.
 */
usePageTitle(() => ['Controls'])

const typed = ref('')
const chosen = ref('')
const among = ref<string>()
const number = ref(14)
const day = ref<Date>()
const AMONG = ['Hearing checks', 'Dental checks', 'Foot checks']
const isOn = ref(true)

const STATES = [
  { state: 'loading', words: 'The list is being fetched.', means: 'quiet; what is not known yet' },
  {
    state: 'empty',
    words: 'There is no list yet. Every saved criteria set has one.',
    means: 'plain; what to do next. Only once it is known that there is nothing',
  },
  {
    state: 'nothing found',
    words: 'Nobody here matches “Marl”.',
    means: 'plain; repeats what was asked',
  },
  {
    state: 'behind',
    words: 'What came at 10:42 is kept, but not counted yet.',
    means: 'what was known stays, and says as of when',
  },
  {
    state: 'no right',
    words: '',
    means:
      'nothing: what somebody may not do is not offered, and what they may not see is not told of',
  },
] as const
</script>

<template>
  <div class="page">
    <div class="page-head"><h1>Controls</h1></div>
    <h2>To do something</h2>
    <table class="ledger">
      <tbody>
        <tr>
          <td><Button label="Publish" /></td>
          <td>
            What a place is for: one in sight at a time. Last in the head of a page; first beneath a
            form (<code>FormDialog</code>), with the way out beside it.
          </td>
        </tr>
        <tr>
          <td><Button label="Take next" outlined size="small" /></td>
          <td>What is done again and again beside it.</td>
        </tr>
        <tr>
          <td><Button label="Share" text size="small" /></td>
          <td>
            Everything else that stands in a row of its own. With … where a dialog asks first.
          </td>
        </tr>
        <tr>
          <td>has <button class="word">84</button> people</td>
          <td>
            A word or a number within a sentence or a table. Every number that counts people is one.
          </td>
        </tr>
        <tr>
          <td><RouterLink to="/lists">Hearing check due</RouterLink></td>
          <td>
            What leads to a place with an address; also a row of people. Never what changes
            anything.
          </td>
        </tr>
        <tr>
          <td>
            <span class="one-of">
              <button aria-pressed="true">To do</button><button aria-pressed="false">Mine</button>
            </span>
          </td>
          <td>
            One of several that is looked at (<code>one-of</code>): parts of a place, as links with
            addresses, or piles. One is always chosen.
          </td>
        </tr>
        <tr>
          <td><button class="word take-out-word">Retire</button></td>
          <td>In brick: what takes away. It says what of and can be undone, or asks by name.</td>
        </tr>
      </tbody>
    </table>
    <h2>To say something</h2>
    <table class="ledger">
      <tbody>
        <tr>
          <td>
            <InputText v-model="typed" size="small" placeholder="Find (/)" aria-label="Find" />
          </td>
          <td>Words. A label beside or above it; the placeholder only gives an example.</td>
        </tr>
        <tr>
          <td>
            <InputNumber v-model="number" size="small" show-buttons :min="1" aria-label="Days" />
          </td>
          <td>A number, with its unit after it in words.</td>
        </tr>
        <tr>
          <td>
            <DatePicker
              v-model="day"
              date-format="d M yy"
              size="small"
              show-icon
              icon-display="input"
              aria-label="Day"
            />
          </td>
          <td>A day: typed, or taken from a calendar whose days have their whole names.</td>
        </tr>
        <tr>
          <td>
            <select v-model="chosen" class="plain" aria-label="Band">
              <option value="">every band</option>
              <option>Never checked</option>
            </select>
          </td>
          <td>
            One of up to some twenty, in a form or above what it narrows. The browser's own, since
            telephones and screen readers know it.
          </td>
        </tr>
        <tr>
          <td>
            <Select
              v-model="among"
              :options="AMONG"
              filter
              size="small"
              placeholder="gather in …"
              aria-label="Gather in"
            />
          </td>
          <td>
            One of many, with a line to find in; one within a sentence at the bench; one that does
            something as soon as it is chosen, since arrows choose in the browser's own.
          </td>
        </tr>
        <tr>
          <td>
            <label><input v-model="isOn" type="checkbox" /> one call settles all lists</label>
          </td>
          <td>Yes or no, in force with its form. The browser's own.</td>
        </tr>
      </tbody>
    </table>
    <h2>To show something</h2>
    <table class="ledger">
      <tbody>
        <tr>
          <td>
            <Stick
              :value="153"
              :unsure="30"
              :total="238"
              scale="linear"
              :width="160"
              :height="16"
            />
          </td>
          <td>How many of how many; hatched is who we can't tell. The number stands beside it.</td>
        </tr>
        <tr>
          <td><Drop outcome="YES" /> <Drop outcome="UNSURE" /> <Drop outcome="NO" /></td>
          <td>Yes, can't tell, no: by shape, then by colour.</td>
        </tr>
        <tr>
          <td><p class="notice">Nothing was saved. Try again in a moment.</p></td>
          <td>
            What went wrong, what was kept, what to do. Told at once (<code>role="alert"</code>).
          </td>
        </tr>
        <tr>
          <td><p class="notice calm">Tam Birchall has this person in hand.</p></td>
          <td>What is good to know; nothing is wrong (<code>role="status"</code>).</td>
        </tr>
        <tr v-for="one in STATES" :key="one.state">
          <td>
            <p :class="{ quiet: one.state === 'loading' }">{{ one.words }}</p>
          </td>
          <td>{{ one.state }}: {{ one.means }}.</td>
        </tr>
      </tbody>
    </table>
    <h2>Measures</h2>
    <p>
      Text of 14 px; 24 px at least for what is pressed. Distances of 2, 4, 8, 14 and 20 px. Rows
      are divided by hairlines, sheets by rules; nothing throws a shadow but what stands over the
      page.
    </p>
  </div>
</template>

<style scoped>
h2 {
  margin: 14px 0 4px;
}

td:first-child {
  width: 320px;
}

.take-out-word {
  color: var(--brick);
  border-bottom-color: transparent;
}
</style>
