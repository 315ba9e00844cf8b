declare module '@cornerstonejs/codec-charls/wasmjs' {
  const made: unknown
  export default made
}
declare module '@cornerstonejs/codec-openjpeg/wasmjs' {
  const made: unknown
  export default made
}
