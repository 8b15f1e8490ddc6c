import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: {
    target: 'es2023',
    assetsInlineLimit: 0,
    rolldownOptions: {
      output: {
        // All that the first page needs anyway comes as one file: cut up by who else needs it, it packs worse.
        codeSplitting: { groups: [{ name: 'first', tags: ['$initial'] }] },
      },
    },
  },
  server: { host: '127.0.0.1', proxy: { '/api': 'http://127.0.0.1:4180' } },
})
