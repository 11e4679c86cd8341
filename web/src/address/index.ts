export { useDayInAddress, useInAddress } from './inAddress'
export { usePageTitle } from './pageTitle'
