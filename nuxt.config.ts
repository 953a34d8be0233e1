import { createHash } from 'node:crypto'
import Icons from 'unplugin-icons/vite'
import { version } from './package.json'

const shortHash = (text: string) => createHash('sha256').update(text).digest('hex').slice(0, 16)

export default defineNuxtConfig({
  compatibilityDate: '2026-01-01',
  // All data lives in the browser, so there is nothing to render on the server.
  ssr: false,
  telemetry: false,
  runtimeConfig: { public: { version } },
  devtools: { enabled: false },
  modules: ['@pinia/nuxt', '@element-plus/nuxt', '@vueuse/nuxt', '@vite-pwa/nuxt'],
  css: [
    '@fontsource-variable/atkinson-hyperlegible-next/index.css',
    '@fontsource-variable/bricolage-grotesque/index.css',
    '~/assets/tokens.css',
    '~/assets/base.css',
    '~/assets/fields.css',
  ],
  elementPlus: { importStyle: 'css', themes: [] },
  components: [{ path: '~/components', pathPrefix: false }],
  app: {
    head: {
      title: 'Kind Crumb',
      htmlAttrs: { lang: 'en' },
      meta: [
        { name: 'viewport', content: 'width=device-width, initial-scale=1' },
        { name: 'description', content: 'Rebalances cake recipes for the people at your table.' },
        { name: 'theme-color', content: '#d9e4e0' },
      ],
      link: [
        { rel: 'icon', type: 'image/svg+xml', href: '/mark.svg' },
        { rel: 'apple-touch-icon', href: '/icon-apple-180.png' },
        { rel: 'manifest', href: '/manifest.webmanifest' },
      ],
    },
  },
  // The service worker announces a newer build (below); Nuxt's own look-out for one would ask twice.
  // Other places are fetched when a link is reached for, not when it is seen: on the first visit the core has the line to itself.
  experimental: { appManifest: false, defaults: { nuxtLink: { prefetchOn: { visibility: false, interaction: true } } } },
  pwa: {
    registerType: 'prompt',
    injectRegister: false,
    // Registered by the device store, once the first view has been used for a moment.
    client: { registerPlugin: false },
    registerWebManifestInRouteRules: true,
    manifest: {
      id: '/',
      name: 'Kind Crumb',
      short_name: 'Kind Crumb',
      description: 'Rebalances cake recipes for the people at your table.',
      lang: 'en',
      categories: ['food', 'lifestyle'],
      start_url: '/',
      display: 'standalone',
      background_color: '#d9e4e0',
      theme_color: '#d9e4e0',
      icons: [
        { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
        { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
        { src: '/icon-maskable-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        { src: '/mark.svg', sizes: 'any', type: 'image/svg+xml' },
      ],
    },
    workbox: {
      globPatterns: ['**/*.{js,css,woff2,svg,png,wasm,txt}'],
      // The solver for tables is the largest file.
      maximumFileSizeToCacheInBytes: 5_000_000,
      cleanupOutdatedCaches: true,
      // Whatever the address, the page is the same one: the screen is chosen in the browser.
      navigateFallback: '/',
      navigateFallbackDenylist: [/^\/api\//, /^\/licences\.txt$/],
      // The page itself is answered by the server, with its policy; it is as new as the files that it names.
      manifestTransforms: [
        (entries) => ({
          manifest: [...entries, { url: '/', revision: shortHash(entries.map((e) => e.url + e.revision).join()), size: 0 }],
          warnings: [],
        }),
      ],
    },
  },
  vite: {
    plugins: [Icons({ compiler: 'vue3', autoInstall: false })],
    worker: { format: 'es' },
    optimizeDeps: { include: ['dexie', 'comlink', 'd3-shape', 'd3-scale'] },
  },
  typescript: { strict: true, typeCheck: false, tsConfig: { include: ['../types/*.d.ts'] } },
  nitro: {
    compressPublicAssets: true,
    // The solver finds its WebAssembly beside its script.
    externals: { traceInclude: ['node_modules/highs/build/highs.mjs', 'node_modules/highs/build/highs.wasm'] },
    typescript: { tsConfig: { include: ['../types/*.d.ts'] } },
  },
})
