import Icons from 'unplugin-icons/vite'

export default defineNuxtConfig({
  compatibilityDate: '2026-01-01',
  // All data lives in the browser, so there is nothing to render on the server.
  ssr: false,
  telemetry: false,
  devtools: { enabled: false },
  modules: ['@pinia/nuxt', '@element-plus/nuxt', '@vueuse/nuxt'],
  css: [
    '@fontsource-variable/atkinson-hyperlegible-next/index.css',
    '@fontsource-variable/bricolage-grotesque/index.css',
    '~/assets/tokens.css',
    '~/assets/base.css',
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
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/mark.svg' }],
    },
  },
  vite: {
    plugins: [Icons({ compiler: 'vue3', autoInstall: false })],
    worker: { format: 'es' },
    optimizeDeps: { include: ['dexie', 'comlink', 'd3-shape', 'd3-scale'] },
  },
  typescript: { strict: true, typeCheck: false, tsConfig: { include: ['../types/*.d.ts'] } },
  nitro: { compressPublicAssets: true, typescript: { tsConfig: { include: ['../types/*.d.ts'] } } },
})
