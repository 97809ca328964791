// For work: the server from its sources, restarted when they change, and the pages with instant reload.
import { spawn } from 'node:child_process'
import { installPackages, root } from './prepare.mjs'

installPackages()
const start = (args) => spawn(process.execPath, args, { cwd: root, stdio: 'inherit' })
const children = [start(['--watch', '--import', 'tsx', 'server/main.ts']), start(['node_modules/vite/bin/vite.js'])]
const stop = () => children.forEach((c) => c.kill('SIGTERM'))
process.on('SIGINT', stop)
process.on('SIGTERM', stop)
for (const child of children) child.on('exit', stop)
