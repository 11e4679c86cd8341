export { default as Veiled } from './Veiled.vue'
export { default as VeiledWords } from './VeiledWords.vue'
export { useVeil, VEIL_KEY } from './veil'
