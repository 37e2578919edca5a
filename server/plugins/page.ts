import { contentSecurityPolicy } from '../http/contentSecurityPolicy'

/** The page says what it may load, and not what it is made with. */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('render:response', (response) => {
    const headers = (response.headers ??= {}) as Record<string, string>
    delete headers['x-powered-by']
    // The development server brings scripts of its own.
    if (typeof response.body === 'string' && !import.meta.dev)
      headers['content-security-policy'] = contentSecurityPolicy(response.body)
  })
})
