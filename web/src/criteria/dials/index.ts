export {
  dialsOf,
  nameOfDial,
  newDial,
  putDial,
  settingsFor,
  TURNING,
  type Dial,
  type Turning,
} from './dials'
export { default as DialStrip } from './DialStrip.vue'
export { default as Turnable } from './Turnable.vue'
