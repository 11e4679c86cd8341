export { useColleagues, type Colleague } from './colleagues'
