import { defineComponent, h } from 'vue'

/** A chart that is not drawn. */
export default defineComponent({
  name: 'Chart',
  props: { data: { type: Object, required: true } },
  setup: () => () => h('canvas'),
})
