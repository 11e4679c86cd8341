import Library from 'primevue/dialog'

interface Shown {
  container: HTMLElement | null
  /** What had the focus before; none once it has it back. */
  target: HTMLElement | null
}

/** What it is made of, of which its types say nothing. */
const made = Library as unknown as { methods: { focus: (this: Shown) => void } }

/**
 * The library's dialog, which moves the focus to its cross once it has come in. Whoever is quicker than that keeps it where
 * it is: the rest of what they type would go nowhere, and Enter would close what they fill in. The focus goes back to where it
 * was also from one that is taken off the page while it is open.
 */
export default {
  ...made,
  methods: {
    ...made.methods,
    focus(this: Shown) {
      if (!this.container?.contains(document.activeElement)) {
        made.methods.focus.call(this)
      }
    },
  },
  unmounted(this: Shown) {
    if (document.activeElement === document.body) {
      this.target?.focus()
    }
  },
} as unknown as typeof Library
