declare module '*.csv' {
  const rows: Record<string, string>[]
  export default rows
}
