// The front door to radiographs as files: read, windowed, and how large their pixels are. Heavy: for workers and the server.
export { greyShown, windowsOf, type DeepPicture, type Depths, type Window } from './dicom/deep-picture'
export { readDicom, type DicomRead, type ReadRadiograph } from './dicom/read-dicom'
export { fileScale, type FileScale, type ScaleSource } from './dicom/scale'
