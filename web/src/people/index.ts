export { default as Contact } from './Contact.vue'
export { default as Drop } from './Drop.vue'
export { default as PersonActs } from './PersonActs.vue'
export { default as PersonPanel } from './PersonPanel.vue'
