/// <reference types="vite-plugin-pwa/vanillajs" />
