export { default as ComingInThisWeek } from './ComingInThisWeek.vue'
export { default as PersonPrompts } from './PersonPrompts.vue'
export { default as PromptRuleDialog } from './PromptRuleDialog.vue'
export { default as WhoRings } from './WhoRings.vue'
