export { default as ListPage } from './ListPage.vue'
export { default as ListsPage } from './ListsPage.vue'
