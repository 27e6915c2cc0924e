import tailwind from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { writeFileSync } from 'node:fs'
import { brotliCompressSync, gzipSync } from 'node:zlib'
import { defineConfig, type Plugin } from 'vite'

/** The worker is told of every file it is to have: they are called by what is in them, so none of them changes. */
function filesOfTheWorker(): Plugin {
  return {
    name: 'files-of-the-worker',
    enforce: 'post',
    generateBundle(_, bundle) {
      const files = Object.keys(bundle)
        .filter((file) => /^assets\/.*\.(js|css|woff2|svg|png)$/.test(file))
        .map((file) => ({ url: `/build/${file}`, revision: null }))
      for (const each of Object.values(bundle)) {
        if (each.type === 'chunk' && each.fileName === 'worker.js') {
          // It is started as one file, and would not start at all with a part that it shares with the pages.
          if (each.imports.length > 0) this.error(`The worker shares ${each.imports.join(', ')} with the pages.`)
          each.code = each.code.replaceAll('self.filesOfTheWorker', JSON.stringify(files))
        }
      }
    },
  }
}

/** Pressed together once and well, and not in haste for each who asks. */
function pressed(): Plugin {
  return {
    name: 'pressed',
    writeBundle({ dir }, bundle) {
      for (const [file, each] of Object.entries(bundle)) {
        if (!/\.(js|css)$/.test(file)) continue
        const bytes = each.type === 'chunk' ? each.code : each.source
        writeFileSync(`${dir}/${file}.br`, brotliCompressSync(bytes))
        writeFileSync(`${dir}/${file}.gz`, gzipSync(bytes, { level: 9 }))
      }
    },
  }
}

export default defineConfig({
  base: '/build/',
  publicDir: false,
  // What did not change is not drawn again; a component the compiler does not understand is left as it is written.
  plugins: [react({ compiler: true }), tailwind(), filesOfTheWorker(), pressed()],
  build: {
    outDir: 'public/build',
    emptyOutDir: true,
    manifest: true,
    assetsInlineLimit: 0,
    rolldownOptions: {
      input: { main: 'web/main.tsx', worker: 'web/offline/worker.ts' },
      output: {
        // Few files and not many small ones: to a phone each is a way there and back. What changes seldom is by itself.
        codeSplitting: {
          groups: [
            { name: 'base', test: /\/node_modules\/(react|react-dom|react-router|scheduler)\// },
            { name: 'shared', test: /\/web\//, minShareCount: 8 },
          ],
        },
        entryFileNames: (chunk) => (chunk.name === 'worker' ? 'worker.js' : 'assets/[name]-[hash].js'),
      },
    },
  },
})
