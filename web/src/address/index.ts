export { useDayInAddress, useInAddress, useNumberInAddress, useShownInAddress } from './inAddress'
export { default as RowLink } from './RowLink.vue'
export { usePageTitle } from './pageTitle'
