import tailwind from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

export default defineConfig({
  base: '/build/',
  publicDir: false,
  plugins: [react(), tailwind()],
  build: {
    outDir: 'public/build',
    emptyOutDir: true,
    manifest: true,
    assetsInlineLimit: 0,
    rolldownOptions: { input: 'web/main.tsx' },
  },
})
