import { defineComponent, h } from 'vue'

/** A dialog without what it needs a real page for: its title, and what it holds while it is shown. */
export default defineComponent({
  props: { visible: Boolean, header: { type: String, default: '' } },
  emits: ['update:visible'],
  setup(props, { slots }) {
    return () =>
      props.visible
        ? h('section', { role: 'dialog', 'aria-label': props.header }, slots.default?.())
        : undefined
  },
})
