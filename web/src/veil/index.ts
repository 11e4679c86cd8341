export { default as Veiled } from './Veiled.vue'
export { useVeil, VEIL_KEY } from './veil'
