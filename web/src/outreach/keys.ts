/** What each key of the desk does; letters go off only while nobody types. */
export const KEYS = [
  { key: '↓ ↑', does: 'next and previous person' },
  { key: 'n', does: 'take the next person who is free' },
  { key: 't', does: 'take, or let go' },
  { key: '1 … 9', does: 'log what came of the attempt' },
  { key: 'w', does: 'write a note' },
  { key: 'c', does: 'call again on …' },
  { key: 's', does: 'set aside' },
  { key: 'd', does: 'done: close on this list' },
  { key: 'r', does: 'bring back, or open again' },
  { key: 'g', does: 'give to a colleague' },
  { key: 'x', does: 'mark; what is done then is done about all marked' },
  { key: 'u', does: 'undo' },
  { key: '/', does: 'find' },
  { key: 'Ctrl+P', does: 'print all of this pile' },
  { key: '?', does: 'these keys' },
] as const

/** Whether a key press is meant for what is being filled in, and not for the desk. */
export function isTyped(event: KeyboardEvent): boolean {
  const target = event.target as HTMLElement
  return (
    event.ctrlKey ||
    event.metaKey ||
    event.altKey ||
    target.isContentEditable ||
    target.closest('[role=dialog], [role=listbox], [role=combobox], textarea, select') !== null ||
    (target instanceof HTMLInputElement && target.type !== 'checkbox')
  )
}
