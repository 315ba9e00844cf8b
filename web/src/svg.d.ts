/** SVG files are imported as their text. */
declare module '*.svg' {
  const text: string
  export default text
}
