import spans from '@/spans.json'
import { count } from '@/stick'

/** What a number or a sign says, in words; asked for wherever it stands. */
export interface Meaning {
  readonly name: string
  readonly words: string
}

/** Each has one meaning, wherever it stands. */
export const MEANINGS = {
  eligible: {
    name: 'Eligible',
    words:
      'Whom a set is about: all of its include criteria are so, and none of its exclude criteria.',
  },
  haveIt: {
    name: 'Have it',
    words: 'Of the eligible, those who have what they should have.',
  },
  stick: {
    name: 'The stick of a list',
    words:
      'The fluid is the share of the eligible who have it, the line of dashes where it was at a reading before this week’s, the notch the target. The grey parts are those on the list, by band.',
  },
  onList: {
    name: 'On the list',
    words:
      'The eligible who lack what they should have, for certain. The number is of the last reading; the bench says how it would be now.',
  },
  toCheck: {
    name: 'To check',
    words:
      'The records do not say whether they belong on the list, such as where a birth date is blank. They are never called by mistake: the next step is to look at the record.',
  },
  joined: {
    name: 'Joined',
    words: `Came onto the list in the last ${count(spans.joined)} days, and is still on it.`,
  },
  inHand: {
    name: 'In hand',
    words:
      'Whom a colleague has taken, or was given. A person is in one hand at a time, on all lists.',
  },
  toDo: {
    name: 'To do',
    words:
      'On the list, neither excused nor held back, and due: what was planned for them is of today or before.',
  },
  mine: { name: 'Mine', words: 'In your hand, on this list.' },
  nobodys: { name: 'Nobody’s', words: 'To do, and in nobody’s hand.' },
  dueToday: {
    name: 'Due today',
    words: 'To do, with a day that was planned, and in nobody’s hand or in yours.',
  },
  progress: { name: 'In progress', words: 'On the list, and tried at least once.' },
  heldBack: {
    name: 'Held back',
    words:
      'Not to be called or written to now: an appointment lies ahead, they were reached of late, asked not to be contacted, or there is no way to reach them. The reason stands with each.',
  },
  waiting: {
    name: 'Waiting',
    words: 'What is planned next lies ahead; they come back by themselves.',
  },
  excused: {
    name: 'Excused',
    words: 'Taken off by a colleague, with a reason, until a day or for good. It ends by itself.',
  },
  done: {
    name: 'Done',
    words: `What should be on record is, a colleague closed it, or they left the list, in the last ${count(spans.done)} days.`,
  },
  due: {
    name: 'Due',
    words:
      'The day from which they lack it: when the last record of it went out of its window. “Never met” is somebody who never had it.',
  },
  band: {
    name: 'Band',
    words: 'How urgent: each person is in the first band of the set that fits.',
  },
  level: {
    name: 'Level',
    words:
      'How many people are left after a criterion. What is hatched may be left: the records do not say. The stick is on a root scale, so that a few of thousands can be seen.',
  },
  mayBeLeft: {
    name: 'Can’t tell, at a criterion',
    words: 'Who may be left after it: the records do not say.',
  },
  fell: { name: 'Fell', words: 'Who was left before a criterion, and is not after it.' },
  lackIt: {
    name: 'Lack it',
    words: 'Of the eligible, those who lack what one criterion asks for.',
  },
  was: { name: 'Was', words: 'The level before the last change; on the stick a line of dashes.' },
  nearLine: {
    name: 'Near the line',
    words: `Whose answer would be another up to ${count(spans.nearLine)} days before or after the as-of date.`,
  },
  ribbon: {
    name: 'The ribbon',
    words:
      'The list’s size and coverage, by the records of now, as of a day of each month from a year back to a year ahead. “Due” are those who come to be on the list in a month if nothing is recorded.',
  },
  drops: {
    name: 'Drops',
    words: 'A full drop is yes, a hollow one no, a half one can’t tell.',
  },
  timeLine: {
    name: 'Time line',
    words:
      'A lane for each kind of record, a tick for each record; the brackets above are the windows of the criteria.',
  },
  records: {
    name: 'Records that count',
    words:
      'Those of people on file, without what was entered in error or taken back. Records that come before their people wait for them.',
  },
  late: {
    name: 'Late',
    words: `Nothing came from a source for more than ${count(spans.lateAfterTimes)} times as long as usual: lists made of it may be wrong.`,
  },
  rows: {
    name: 'New, changed, unchanged, off file, bad',
    words:
      'What a file did: rows that were not there, that say something else, that say the same; who is not in it any more; and rows that could not be read, which are kept to be looked at.',
  },
  open: {
    name: 'Open',
    words: 'On the list or to check, and not done with, whether or not something is due today.',
  },
  cameToHave: {
    name: 'Came to have it',
    words: 'While they were on the list, since there is the list.',
  },
  coverage: {
    name: 'Coverage',
    words: 'Have it, in percent of the eligible, at each reading of the list.',
  },
  daysToDone: {
    name: 'Days from joining to that',
    words: 'The median of those who came to have it: half of them took no longer.',
  },
} as const satisfies Record<string, Meaning>

export type MeaningName = keyof typeof MEANINGS

/** Of the piles of a desk. */
export const QUEUE_MEANINGS = {
  open: 'toDo',
  mine: 'mine',
  nobodys: 'nobodys',
  due: 'dueToday',
  joined: 'joined',
  check: 'toCheck',
  progress: 'progress',
  waiting: 'waiting',
  held: 'heldBack',
  excused: 'excused',
  done: 'done',
} as const satisfies Record<string, MeaningName>

/** What it says, where there is room for a few words only: a tip. */
export function meaningOf(name: MeaningName): string {
  return MEANINGS[name].words
}
