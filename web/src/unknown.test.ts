import { clear, shown } from '@/testing'
import { afterEach, describe, expect, it, vi } from 'vitest'
import type { Component } from 'vue'

/** What shows something that is fetched, with what it is given. */
const SHOWN: Record<string, Record<string, unknown>> = {
  'accounts/AccountsPanel': {},
  'accounts/SecondFactorDemand': {},
  'audit/AuditPanel': {},
  'criteria/BenchPage': { id: 'hearing' },
  'criteria/CriteriaPage': {},
  'criteria/OpenFileDialog': {
    document: { id: 'h', name: 'Hearing', termSets: [{ id: 't', name: 'Checks', members: [] }] },
    sets: undefined,
  },
  'criteria/TemplateDialog': { visible: true },
  'criteria/VersionsDialog': { visible: true, id: 'hearing', newest: 2 },
  'criteria/rosters/RosterList': {},
  'criteria/rosters/RosterRowsDialog': { roster: { id: 'walk', name: 'Walk', version: 1 } },
  'criteria/termsets/TermSetList': {},
  'exchange/LetterheadPanel': {},
  'exchange/SentMail': {},
  'hooks/RecordSystemsPanel': {},
  'levels/LevelsPanel': {},
  'lists/ComparedDialog': { visible: true, lists: [{ id: 'hearing' }, { id: 'kidney' }] },
  'lists/ListPage': { id: 'hearing' },
  'lists/ListsPage': {},
  'lists/ReadingPlan': { id: 'hearing', mayChange: true },
  'lists/ReadingsDialog': { visible: true, id: 'hearing', name: 'Hearing' },
  'outreach/GiveDialog': { visible: true, people: 1 },
  'outreach/OutcomesPanel': {},
  'outreach/WorkloadPanel': {},
  'people/PersonStanding': { person: '1', today: '2026-11-26' },
  'privacy/ErasuresPanel': {},
  'prompts/ComingInPage': {},
  'prompts/ComingInThisWeek': { nobody: 'Nobody' },
  'prompts/PersonPrompts': { person: '1' },
  'prompts/PromptRuleDialog': { visible: true, id: 'hearing', name: 'Hearing' },
  'records/BlankLists': { query: 'field=phone' },
  'records/IntakeList': {},
  'records/OddRows': { address: '/api/records/odd' },
  'records/OutsideTerms': {},
  'records/RecordsPage': {},
  'records/SamePersonPage': {},
  'records/StatePage': {},
  'records/TakeBackDialog': { delivery: { id: 1, fileName: 'lab.csv' } },
  'region/RegionPanel': {},
  'sending/SendingsDialog': { visible: true, id: 'hearing', name: 'Hearing', mayChange: true },
  'session/OwnAccountDialog': { visible: true },
  'session/SessionsPanel': {},
  'session/PasskeysPanel': {},
  'session/SecondFactorPanel': {},
  'session/TokensPanel': {},
  'sharing/SharingDialog': { visible: true, id: 'hearing', name: 'Hearing' },
  'today/TodayPage': {},
  'upkeep/BackupPanel': {},
}
/** Where nothing is said until it is known, but what went wrong is. */
const SILENT = {
  'accounts/HandOver': {},
  'exchange/CalendarAddress': {},
  'records/WaitingFiles': {},
  'sidebyside/SideChooser': { title: 'One', waitsFor: '', modelValue: undefined },
}

/** How it is said that something is looked for. */
const WAITS = /\bbeing\b|looking|looked/i
/** What may be said only of what is known. */
const CLAIMS =
  /\b((?<!names )nobody|none|never|nothing (?:is on|was|of yours|in the)|it is new)\b|\b0\b|\bno \w+ (?:is|was|are|yet)/i

const components = import.meta.glob<{ default: Component }>('./**/*.vue')

async function saidBy(path: string, props: Record<string, unknown>) {
  const { default: component } = (await components[`./${path}.vue`]?.()) ?? {}
  if (!component) {
    throw new Error(`There is no ${path}`)
  }
  await shown(component, props, { name: 'orla', roles: ['COORDINATOR', 'ADMINISTRATOR'] })
  return {
    text: (document.body.textContent ?? '').replaceAll(/\s+/g, ' '),
    alerts: [...document.querySelectorAll('[role=alert]')].map((one) => one.textContent ?? ''),
  }
}

afterEach(() => {
  vi.unstubAllGlobals()
  clear()
})

describe('what is not known yet', () => {
  it.each(Object.entries(SHOWN))('is said to be looked for by %s', async (path, props) => {
    vi.stubGlobal('fetch', () => new Promise(() => undefined))
    const { text, alerts } = await saidBy(path, props)
    expect(text).toMatch(WAITS)
    expect(text).not.toMatch(CLAIMS)
    expect(alerts).toEqual([])
  })
})

describe('what could not be fetched', () => {
  it.each(Object.entries({ ...SHOWN, ...SILENT }))('is no emptiness in %s', async (path, props) => {
    const body = JSON.stringify({
      type: 'urn:dipstick:x',
      status: 500,
      detail: 'The disk is full.',
    })
    vi.stubGlobal('fetch', () => Promise.resolve(new Response(body, { status: 500 })))
    const { text, alerts } = await saidBy(path, props)
    expect(alerts.join(' ')).toContain('The disk is full.')
    expect(text).not.toMatch(CLAIMS)
  })
})
