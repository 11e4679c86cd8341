import type { Directive } from 'vue'

const LINE = '.person-row'

/**
 * Makes a list of people one stop of the tabulator, through which one goes with arrows, Home and End (roving tabindex of
 * the ARIA Authoring Practices). Where one was is where one comes back to.
 */
export const vOneStop: Directive<HTMLElement> = {
  mounted(list) {
    // Before anybody else hears of it, who would take the arrow for theirs.
    list.addEventListener('keydown', (event) => goOn(list, event), { capture: true })
    list.addEventListener('focusin', (event) => {
      if (event.target instanceof HTMLElement && event.target.matches(LINE)) {
        settle(list, event.target)
      }
    })
    settle(list)
  },
  updated: (list) => settle(list),
}

function linesOf(list: HTMLElement): HTMLElement[] {
  return [...list.querySelectorAll<HTMLElement>(LINE)]
}

/** @param stop whom the tabulator comes to; whoever it was, or is open, or the first, where that is not said */
function settle(list: HTMLElement, stop?: HTMLElement) {
  const lines = linesOf(list)
  const at =
    stop ??
    lines.find((line) => line.tabIndex === 0 && line.hasAttribute('tabindex')) ??
    lines.find((line) => line.hasAttribute('aria-current')) ??
    lines[0]
  lines.forEach((line) => line.setAttribute('tabindex', line === at ? '0' : '-1'))
}

function goOn(list: HTMLElement, event: KeyboardEvent) {
  const lines = linesOf(list)
  const at = lines.indexOf(event.target as HTMLElement)
  const next = {
    ArrowDown: lines[at + 1],
    ArrowUp: lines[at - 1],
    Home: lines[0],
    End: lines.at(-1),
  }[event.key]
  if (at >= 0 && next && !event.altKey && !event.ctrlKey && !event.metaKey) {
    event.preventDefault()
    event.stopPropagation()
    next.focus()
  }
}
