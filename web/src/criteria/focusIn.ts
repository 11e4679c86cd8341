/** The line of a new criterion is drawn when its level has come back. */
const UNTIL_DRAWN_MS = 250

/** Puts the keyboard on something of a criterion's line, which may have to be drawn first. */
export function focusLine(id: string, inside: string, after = UNTIL_DRAWN_MS) {
  focusIn(`[data-criterion="${CSS.escape(id)}"] ${inside}`, after)
}

/** Puts the keyboard on what a selector finds, after a time. */
export function focusIn(selector: string, after: number) {
  setTimeout(() => {
    window.document.querySelector<HTMLElement>(selector)?.focus()
  }, after)
}
