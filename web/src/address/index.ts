export { useDayInAddress, useInAddress } from './inAddress'
export { default as RowLink } from './RowLink.vue'
export { usePageTitle } from './pageTitle'
