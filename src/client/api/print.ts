import type { CardBody, LabelsBody } from '../../shared/print.ts'
import { requestFile } from './http.ts'

/** Labels as a PDF. */
export const printLabels = (body: LabelsBody): Promise<Blob> => requestFile('/print/labels', { method: 'POST', body })

/** The card of a trace as a PDF. */
export const printCard = (body: CardBody): Promise<Blob> => requestFile('/print/card', { method: 'POST', body })
