import { isWithin } from '@/places'
import { QUEUE_MEANINGS, type MeaningName } from './meanings'

/** How a place is read: what it is for, what is done there, and what its numbers say. */
export interface HowToRead {
  readonly place: string
  readonly words: readonly string[]
  readonly meanings: readonly MeaningName[]
}

/** By address; what is within another comes before it. */
const PLACES: readonly (HowToRead & { readonly at: (path: string) => boolean })[] = [
  {
    at: (path) => isWithin(path, '/today'),
    place: 'Today',
    words: [
      'What needs you: the line at the top says what to do first. Below are your follow-ups, who comes in this week and is missing something, and each list as a stick.',
      'Any name or number is opened by clicking it.',
    ],
    meanings: ['stick', 'haveIt', 'onList', 'toCheck', 'joined', 'inHand'],
  },
  {
    at: (path) => path === '/criteria',
    place: 'Criteria',
    words: [
      'The sets that say who belongs on a list. Opening one is the bench, where it is changed; nothing changes for colleagues before you publish.',
    ],
    meanings: ['onList', 'toCheck', 'haveIt'],
  },
  {
    at: (path) => isWithin(path, '/criteria'),
    place: 'the bench',
    words: [
      'Read it from the top: everybody, who is included, who is left out, and what should be on record. Beside each sentence the stick says how many are left after it.',
      'Every underlined word can be changed in its place, and every number opens to its people at the right. Open somebody to see why. The line at the foot says who would be on the list.',
      'Drag along the ribbon to see it as of another day. Save keeps a draft; Publish makes it the list’s.',
    ],
    meanings: [
      'level',
      'mayBeLeft',
      'fell',
      'lackIt',
      'was',
      'eligible',
      'haveIt',
      'onList',
      'toCheck',
      'nearLine',
      'ribbon',
      'band',
      'drops',
      'timeLine',
    ],
  },
  {
    at: (path) => path === '/lists',
    place: 'Lists',
    words: [
      'Each list as a stick, with how it went over the last twelve months and who works it. Opening one is the desk, where people are called. What looks wrong about a set stands beneath it.',
    ],
    meanings: ['stick', 'haveIt', 'onList', 'toCheck', 'joined', 'inHand', 'band'],
  },
  {
    at: (path) => /^\/lists\/[^/]+\/on-a-day$/.test(path),
    place: 'a list as of a day',
    words: [
      'The list as the records of now say it was, or will be, on another day or with other settings. It changes nothing for anybody.',
    ],
    meanings: ['onList', 'toCheck', 'due', 'band'],
  },
  {
    at: (path) => isWithin(path, '/lists'),
    place: 'the desk',
    words: [
      'At the top are the piles; a person can be in several. Take the next person, see why they are on the list, call, and log what came of it: what comes next is planned by itself.',
      'What a colleague does appears at once. Whoever is in another hand is shown as such, and nothing you log is lost.',
    ],
    meanings: [...Object.values(QUEUE_MEANINGS), 'due', 'band'],
  },
  {
    at: (path) => isWithin(path, '/people'),
    place: 'People',
    words: [
      'Find anybody by name, number, birth date or telephone. Their page says what is due, on which lists they are and why, on which they are not and why not, and all that is on record.',
    ],
    meanings: ['due', 'drops', 'timeLine', 'toCheck'],
  },
  {
    at: (path) => isWithin(path, '/records'),
    place: 'Records',
    words: [
      'A file is looked at before it is taken: what its columns mean, what is new, and what is wrong with it. Nothing is lost of what could not be read, and a file can be taken back.',
      'Lists are as right as the records: the top says how fresh they are.',
    ],
    meanings: ['records', 'late', 'rows'],
  },
  {
    at: (path) => isWithin(path, '/practice'),
    place: 'Practice',
    words: [
      'How many have what they should have, whether it rises, who works which list, and who looked at what.',
    ],
    meanings: ['coverage', 'onList', 'open', 'cameToHave', 'daysToDone', 'inHand'],
  },
]

/** How the place at an address is read; nothing where there is none. */
export function howToRead(path: string): HowToRead | undefined {
  return PLACES.find((one) => one.at(path))
}
