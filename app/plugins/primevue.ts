import PrimeVue from 'primevue/config'
import ToastService from 'primevue/toastservice'
import { preset } from '~/theme/preset'

// A plain plugin: the framework's own module would put the whole theme into every page.
export default defineNuxtPlugin((nuxt) => {
  nuxt.vueApp.use(PrimeVue, { theme: { preset, options: { darkModeSelector: '.dark', cssLayer: false } } })
  nuxt.vueApp.use(ToastService)
})
