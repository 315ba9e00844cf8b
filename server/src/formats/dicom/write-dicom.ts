import { randomUUID } from 'node:crypto'
import dcmjs from 'dcmjs'
import { windowsOf } from '@crescent/core/dicom'
import type { MadeRadiograph } from '@crescent/core/made-up'

/** Explicit little endian, unpacked (DICOM PS3.5 annex A). */
const PLAIN = '1.2.840.10008.1.2.1'
/** A digital X-ray for presentation (DICOM PS3.4). */
const DIGITAL_XRAY = '1.2.840.10008.5.1.4.1.1.1.1'

/** A number that nobody else uses: made of a random one (DICOM PS3.5 B.2). */
const uid = (): string => `2.25.${BigInt(`0x${randomUUID().replaceAll('-', '')}`)}`

const sixteen = (value: number): number => Number(value.toPrecision(12))

/** How much larger a foot is on the detector than it is: nothing that is read, since its spacing is calibrated. */
const MAGNIFIED = 1.08

/** What every such file has to say, much of it empty (DICOM PS3.3 A.26). */
const REQUIRED = {
  ...{ PatientID: '', PatientBirthDate: '', PatientSex: '', ReferringPhysicianName: '' },
  ...{
    StudyTime: '',
    StudyID: '',
    AccessionNumber: '',
    SeriesNumber: '1',
    InstanceNumber: '1',
    Manufacturer: '',
  },
  ...{ ImageType: ['ORIGINAL', 'PRIMARY', ''], PresentationIntentType: 'FOR PRESENTATION' },
  // Toward the toe, and down.
  PatientOrientation: ['A', 'F'],
  AnatomicRegionSequence: [{ CodeValue: '56459004', CodingSchemeDesignator: 'SCT', CodeMeaning: 'Foot' }],
  ...{ PixelIntensityRelationship: 'LOG', PixelIntensityRelationshipSign: -1 },
  ...{ RescaleIntercept: '0', RescaleSlope: '1', RescaleType: 'US' },
  ...{
    PresentationLUTShape: 'IDENTITY',
    LossyImageCompression: '00',
    BurnedInAnnotation: 'NO',
    DetectorType: '',
  },
  AcquisitionContextSequence: [],
}

/** What is written beside the picture. */
export interface DicomWish {
  mmPerPixel: number
  patient: string
  side: 'L' | 'R'
  date: string
  /** Bits stored of each pixel. */
  bits?: number
  /** How the pixels are packed, and the packed bytes; plain where it is not said. */
  packed?: { syntax: string; bytes: Uint8Array }
  /** Other tags by their names, instead of the usual ones. */
  more?: Record<string, unknown>
}

/** A made-up radiograph as a DICOM file, written by a library of its own. */
export function dicomOf({ width, height, data }: MadeRadiograph, wish: DicomWish): Buffer {
  const { data: dicom } = dcmjs
  const { usual } = windowsOf({ width, height, data })
  const { DicomMetaDictionary, DicomDict } = dicom
  const syntax = wish.packed?.syntax ?? PLAIN
  const meta = {
    FileMetaInformationVersion: Uint8Array.of(0, 1).buffer,
    MediaStorageSOPClassUID: DIGITAL_XRAY,
    MediaStorageSOPInstanceUID: uid(),
    TransferSyntaxUID: syntax,
    ImplementationClassUID: uid(),
  }
  const dataset = {
    ...REQUIRED,
    ...{ SOPClassUID: DIGITAL_XRAY, SOPInstanceUID: meta.MediaStorageSOPInstanceUID },
    ...{
      StudyInstanceUID: uid(),
      SeriesInstanceUID: uid(),
      Modality: 'DX',
      StudyDate: wish.date.replaceAll('-', ''),
    },
    ...{ PatientName: wish.patient, ImageLaterality: wish.side, ImageComments: 'Made up, of no real animal' },
    ...{ Rows: height, Columns: width, SamplesPerPixel: 1, PhotometricInterpretation: 'MONOCHROME2' },
    ...{
      BitsAllocated: 16,
      BitsStored: wish.bits ?? 14,
      HighBit: (wish.bits ?? 14) - 1,
      PixelRepresentation: 0,
    },
    // Sixteen signs are all that a figure may have (DICOM PS3.5 6.2).
    PixelSpacing: [sixteen(wish.mmPerPixel), sixteen(wish.mmPerPixel)],
    PixelSpacingCalibrationType: 'FIDUCIAL',
    PixelSpacingCalibrationDescription: 'by a marker beside the foot',
    // Before the detector lies the foot: there its pixels are smaller.
    ImagerPixelSpacing: [sixteen(wish.mmPerPixel * MAGNIFIED), sixteen(wish.mmPerPixel * MAGNIFIED)],
    ...{ WindowCenter: Math.round(usual.centre), WindowWidth: Math.round(usual.width) },
    ...wish.more,
    PixelData: wish.packed ? [wish.packed.bytes.slice().buffer] : data.buffer,
    _vrMap: { PixelData: wish.packed ? 'OB' : 'OW' },
  }
  const file = new DicomDict(DicomMetaDictionary.denaturalizeDataset(meta))
  file.dict = DicomMetaDictionary.denaturalizeDataset(dataset)
  return Buffer.from(file.write())
}
