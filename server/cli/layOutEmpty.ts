import { PGlite } from '@electric-sql/pglite'
import { mkdirSync, renameSync, writeFileSync } from 'node:fs'
import { dirname } from 'node:path'
import { emptyFolderFile } from '../db/emptyFolder.ts'

const lite = await PGlite.create()
const tar = await lite.dumpDataDir('none')
await lite.close()
mkdirSync(dirname(emptyFolderFile), { recursive: true })
// Whole or not at all: half a file would be taken for a database.
writeFileSync(`${emptyFolderFile}.part`, Buffer.from(await tar.arrayBuffer()))
renameSync(`${emptyFolderFile}.part`, emptyFolderFile)
