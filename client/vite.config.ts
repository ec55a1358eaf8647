import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

export default defineConfig({
  plugins: [react(), tailwindcss()],
  // browsers of the last years fetch modules ahead by themselves
  build: {
    modulePreload: { polyfill: false },
    // what two lazy pages share in a few lines comes with the first page: a file of its own weighs more than it holds
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            // whatever the first page needs, so that no later page's file is fetched for it
            { name: 'first', tags: ['$initial'], priority: 10 },
            { name: 'shared', test: /ui.Fingerprint|pads.PutAway|api.instruments/ },
            // a job at the desk and at the bench share most of what they draw
            { name: 'job', test: /stations.Traveller|bench.BenchMode|stations.moment|mat.BenchLayer|MatchOverlay/ },
            // pages of a few kilobytes that few open
            {
              name: 'papers',
              test: /TrayMap|RestorePage|TargetPage|pads.CuttingSheet|src.drawer|src.instruments|SqueezeLab|Practice/,
            },
            { name: 'settings', test: /src.settings/ },
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:5140', '/openapi': 'http://127.0.0.1:5140' } },
})
