/** Whether a key press is meant for what is being filled in, and not for the place. */
export function isTyped(event: KeyboardEvent): boolean {
  if (event.ctrlKey || event.metaKey || event.altKey) {
    return true
  }
  const { target } = event
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable ||
      target.closest('[role=dialog], [role=listbox], [role=combobox], textarea, select') !== null ||
      (target instanceof HTMLInputElement && target.type !== 'checkbox'))
  )
}
