import 'primeicons/primeicons.css'
import './theme/base.css'
import { VueQueryPlugin } from '@tanstack/vue-query'
import { createPinia } from 'pinia'
import PrimeVue from 'primevue/config'
import ToastService from 'primevue/toastservice'
import { createApp } from 'vue'
import App from './App.vue'
import { router } from './router'
import { namedDays } from './theme/days'
import { paperAndInk } from './theme/preset'

/** With which what PrimeVue adds to the page is in force. */
const nonce = document.querySelector<HTMLMetaElement>('meta[property=csp-nonce]')?.nonce ?? ''

createApp(App)
  .use(createPinia())
  .use(router)
  .use(VueQueryPlugin, {
    queryClientConfig: { defaultOptions: { queries: { retry: false, staleTime: 0 } } },
  })
  .use(PrimeVue, {
    csp: { nonce },
    pt: { datepicker: namedDays },
    theme: { preset: paperAndInk, options: { darkModeSelector: 'system' } },
  })
  .use(ToastService)
  .mount('#app')
