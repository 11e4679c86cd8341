export { default as ListsRack } from './ListsRack.vue'
export { default as ReadingsDialog } from './ReadingsDialog.vue'
export { useLists } from './useLists'
export { default as DialsSet } from './DialsSet.vue'
