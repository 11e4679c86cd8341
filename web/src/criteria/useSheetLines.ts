import type { Schemas } from '@/api/client'
import { computed } from 'vue'
import {
  SECTIONS,
  criteriaOf,
  type CriteriaDocument,
  type Criterion,
  type Section,
} from './document'
import { KEYS } from './sheetSections'

/** The criteria as they stand on the sheet, each with its level, what that was before, and what is wrong with it. */
export function useSheetLines(
  sheet: () => {
    document: CriteriaDocument
    levels: Schemas['Levels'] | undefined
    before: Schemas['Levels'] | undefined
    findings: readonly Schemas['Finding'][]
    said: readonly Schemas['LineSaid'][]
  },
) {
  const sections = computed(() => {
    const { document, before } = sheet()
    return SECTIONS.map((section) => ({
      section,
      criteria: criteriaOf(document, section).map((criterion, index) => ({
        criterion,
        place: { section, index },
        level: lineOf(section, index, criterion),
        before: levelOf(before, criterion.id),
        findings: findingsAt(`${KEYS[section]}/${String(index)}`),
      })),
    }))
  })

  /** What is wrong with no line of the sheet. */
  const otherFindings = computed(() =>
    sheet().findings.filter(
      (one) =>
        one.document !== '' || !/^\/(include|exclude|shouldHave\/of|bands)\/\d/.test(one.pointer),
    ),
  )

  /** With its numbers of before where what it says now cannot be counted, and with none where there are none. */
  function lineOf(
    section: Section,
    index: number,
    criterion: Criterion,
  ): Schemas['CriterionLevel'] | undefined {
    const { levels, said } = sheet()
    const level = levelOf(levels, criterion.id)
    const now = said.find((one) => one.id === criterion.id)
    const off = criterion.off === true
    return now ? { section, index, off, doubts: [], ...level, ...now } : level
  }

  function levelOf(of: Schemas['Levels'] | undefined, id: string) {
    return of?.criteria.find((one) => one.id === id)
  }

  function findingsAt(pointer: string): string[] {
    return sheet()
      .findings.filter((one) => one.document === '' && `${one.pointer}/`.startsWith(`${pointer}/`))
      .map((one) => one.message)
  }

  return { sections, otherFindings, levelOf, findingsAt }
}
