declare module 'dcmjs' {
  interface Dictionary {
    denaturalizeDataset(dataset: Record<string, unknown>): Record<string, unknown>
  }
  const dcmjs: {
    data: {
      DicomMetaDictionary: Dictionary
      DicomMessage: {
        readFile: (file: ArrayBuffer) => { meta: Record<string, unknown>; dict: Record<string, unknown> }
      }
      DicomDict: new (meta: Record<string, unknown>) => {
        dict: Record<string, unknown>
        write: () => ArrayBuffer
      }
    }
  }
  export default dcmjs
}
