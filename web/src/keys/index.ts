export { vOneStop } from './oneStop'
export { isTyped } from './isTyped'
export { default as KeysDialog } from './KeysDialog.vue'
export { useKeys, useKeysOfPlace, type PlaceKey } from './keys'
