export { default as ReadingsDialog } from './ReadingsDialog.vue'
export { default as ListPage } from './ListPage.vue'
export { default as ListsPage } from './ListsPage.vue'
