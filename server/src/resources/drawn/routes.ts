import * as z from 'zod'
import { read } from '../../http/door'
import { withBody, type Route } from '../../http/route'
import { CARDS_PER, type CardsPer } from '../../formats/pdf/card'
import {
  PAPER_QUERY,
  paperField,
  shodFeet,
  shoeRequest,
  storedShoe,
  STYLE_QUERY,
  styleFields,
  titledOf,
} from './asked'
import { sendCards } from './send-cards'
import { sendSolid, solidFields } from './send-solid'
import { sendTemplate, templateFields } from './send-template'

const NO_PIECE = { 404: 'No such pattern, or its shoe has no such piece: the sentence says which' }
const REFUSED = { 400: 'Every figure that is missing or not possible, by path' }

const TEMPLATE_FILES = { file: ['application/pdf', 'image/svg+xml', 'image/vnd.dxf'] }
const SOLID_FILES = { file: ['model/stl', 'model/3mf'] }

const CARD_FILE = { file: 'application/pdf' }

const cardFields = { ...paperField, ...styleFields }
const cardQuery = z.object(cardFields)
const cardsQuery = cardQuery.extend({
  per: z.enum(Object.keys(CARDS_PER) as [CardsPer, ...CardsPer[]]).default('shoe'),
})
const templateQuery = z.object(templateFields)
const solidQuery = z.object(solidFields)

/** What is drawn of a shoe as a file: templates at true size, the solid. Of a stored pattern, or of one that is not stored yet. */
export const drawnRoutes: Route[] = [
  {
    method: 'get',
    path: '/patterns/:id/template',
    beside: 'drawing',
    summary: 'A piece of the shoe at true size',
    query: {
      kind: 'sole, foot, plate, frog, pad, bars or strip; else sole',
      format: 'pdf, svg or dxf; else pdf',
      mirror: 'true: as it is seen from its other side',
      ...PAPER_QUERY,
      ...STYLE_QUERY,
    },
    answer: TEMPLATE_FILES,
    answers: NO_PIECE,
    run: ({ practice, request, response }) =>
      sendTemplate(
        response,
        storedShoe(practice, request.params['id'] as string),
        read(templateQuery, request.query),
      ),
  },
  withBody({
    method: 'post',
    path: '/templates',
    beside: 'drawing',
    summary: 'The same for a shoe that is not stored',
    body: shoeRequest.extend(templateFields),
    answer: TEMPLATE_FILES,
    reads: true,
    answers: { ...REFUSED, ...NO_PIECE },
    run: ({ response, body }) => sendTemplate(response, titledOf(body), body),
  }),
  {
    method: 'get',
    path: '/patterns/:id/solid',
    beside: 'drawing',
    summary: 'The shoe as one closed solid with its holes, mm',
    query: { format: 'stl or 3mf; else stl' },
    answer: SOLID_FILES,
    answers: NO_PIECE,
    run: ({ practice, request, response }) =>
      sendSolid(
        response,
        storedShoe(practice, request.params['id'] as string),
        read(solidQuery, request.query),
      ),
  },
  withBody({
    method: 'post',
    path: '/solids',
    beside: 'drawing',
    summary: 'The same for a shoe that is not stored',
    body: shoeRequest.extend(solidFields),
    answer: SOLID_FILES,
    reads: true,
    answers: REFUSED,
    run: ({ response, body }) => sendSolid(response, titledOf(body), body),
  }),
  {
    method: 'get',
    path: '/patterns/:id/card',
    beside: 'drawing',
    summary: 'The forge card of a shoe',
    query: { ...PAPER_QUERY, ...STYLE_QUERY },
    answer: CARD_FILE,
    answers: NO_PIECE,
    run: ({ practice, request, response }) =>
      sendCards(
        response,
        [storedShoe(practice, request.params['id'] as string)],
        'shoe',
        read(cardQuery, request.query),
      ),
  },
  {
    method: 'get',
    path: '/visits/:id/cards',
    beside: 'drawing',
    summary: 'Forge cards of all shoes a visit forges: a sheet each, or a pair or the horse on one',
    query: { per: 'shoe, pair or horse; else shoe', ...PAPER_QUERY, ...STYLE_QUERY },
    answer: CARD_FILE,
    answers: { 404: 'No such visit, or nothing is forged at it: the sentence says which' },
    run: ({ practice, request, response }) => {
      const asked = read(cardsQuery, request.query)
      return sendCards(response, shodFeet(practice, request.params['id'] as string), asked.per, asked)
    },
  },
  withBody({
    method: 'post',
    path: '/cards',
    beside: 'drawing',
    summary: 'The forge card of a shoe that is not stored',
    body: shoeRequest.extend(cardFields),
    answer: CARD_FILE,
    reads: true,
    answers: REFUSED,
    run: ({ response, body }) => sendCards(response, [titledOf(body)], 'shoe', body),
  }),
]
