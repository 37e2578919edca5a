import { existsSync } from 'node:fs'
import { installDebianPackages } from './run.mjs'

/** The path of Debian's Chromium, installed when it is missing. */
export function ensureChromium() {
  const path = process.env.CHROMIUM || '/usr/bin/chromium'
  if (!existsSync(path)) installDebianPackages(['chromium', 'fonts-liberation'], 'Chromium')
  return path
}
