/** Where the application has pages; everything else that is no file is nothing. */
const PAGES = [
  /^\/$/,
  /^\/paste$/,
  /^\/larder(?:\/[^/]+)?$/,
  /^\/compare$/,
  /^\/tray$/,
  /^\/clock$/,
  /^\/list$/,
  /^\/stove$/,
  /^\/notebook$/,
  /^\/settings$/,
  /^\/sheets$/,
  /^\/table$/,
  /^\/bench(?:\/[^/]+)?$/,
]

export const isPage = (pathname: string): boolean =>
  PAGES.some((one) => one.test(pathname.replace(/(.)\/$/, '$1')))
