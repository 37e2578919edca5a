import { createHash } from 'node:crypto'

/** Scripts that stand in the page itself, by what is between their tags. */
const INLINE = /<script(?![^>]*\bsrc=)(?![^>]*type="application\/json")[^>]*>([\s\S]*?)<\/script>/g

/** What a page of ours may load: its own files, and the inline scripts that the framework put there, by their sums. */
export function contentSecurityPolicy(html: string): string {
  const sums = [...html.matchAll(INLINE)]
    .map(([, script]) => `'sha256-${createHash('sha256').update(script!).digest('base64')}'`)
    .filter((sum, at, all) => all.indexOf(sum) === at)
  return [
    "default-src 'self'",
    `script-src ${["'self'", ...sums].join(' ')}`,
    // Components carry their styles in style elements and attributes.
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self' data:",
    "worker-src 'self' blob:",
    "connect-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'none'",
    "frame-ancestors 'none'",
  ].join('; ')
}
