import { createHash } from 'node:crypto'

const INLINE = /<script(?![^>]*\bsrc=)[^>]*>([\s\S]*?)<\/script>/g

/**
 * A strict content policy: only what ships with the product, no inline script but the ones that this very page
 * carries, by hash. Inline style attributes are allowed, since drawings place their shapes with them.
 */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('render:response', (response) => {
    delete response.headers?.['x-powered-by']
    if (typeof response.body !== 'string') return
    const hashes = [...response.body.matchAll(INLINE)].map(
      ([, script]) => `'sha256-${createHash('sha256').update(script!).digest('base64')}'`,
    )
    response.headers = {
      ...response.headers,
      'content-security-policy': [
        "default-src 'self'",
        `script-src 'self' ${import.meta.dev ? "'unsafe-inline' 'unsafe-eval'" : hashes.join(' ')}`,
        "style-src 'self' 'unsafe-inline'",
        "img-src 'self' data: blob:",
        "font-src 'self'",
        "worker-src 'self' blob:",
        "connect-src 'self' ws:",
        "object-src 'none'",
        "base-uri 'none'",
        "form-action 'none'",
        "frame-ancestors 'none'",
      ].join('; '),
      'x-content-type-options': 'nosniff',
      'referrer-policy': 'no-referrer',
    }
  })
})
