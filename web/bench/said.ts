import type { Shape } from '../api/hooks'
import { dayText } from '../parts/day'
import { capital } from '../parts/letters'
import { heededOf, herbsOf, oilsOf, type Wish } from './wish'

type Piece = Shape<'Plan'>['sentence'][number]

/** Which word of the sentence a field of a wish stands in. */
function slotOf(field: string): string {
  if (/^herbs?(\.\d+)?\.(form|state|water|picked)/.test(field)) return 'form'
  if (/^herbs?(\.\d+)?\.amount/.test(field)) return 'amount'
  if (/^herbs?/.test(field)) return 'herb'
  if (/^oils/.test(field)) return 'oils'
  if (/^(start|ready_by|begun)/.test(field)) return 'when'
  if (/^(oil_amount|finished|by_jar|jars?)/.test(field)) return 'amount'
  if (/^(hours|warmth|stands|cooled|shake)/.test(field)) return 'school'
  if (field === 'strained') return 'way'
  return field.split('.')[0] ?? field
}

/**
 * What was wished, in the words it was wished in, for when it cannot be reckoned: the cook's own sentence stays, and
 * the words that are in the way are marked. Only names are put together here; nothing is computed.
 */
export function saidSentence(
  wish: Wish,
  materials: Shape<'Materials'>,
  jars: { id: string; called: string }[],
  fields: string[],
): { pieces: Piece[]; wrong: Set<string> } {
  const named = (list: { id: string; name: string }[], id: unknown) =>
    list.find((each) => each.id === id)?.name ?? (typeof id === 'string' && id !== '' ? id : undefined)
  // Of a plant that kills no oil is offered; named it is all the same.
  const plants = [...materials.herbs, ...materials.not_offered]
  const herbs = herbsOf(wish)
  const first = herbs[0]
  const method = materials.methods.find((each) => each.id === (wish.method ?? 'cold'))
  const weights = herbs.flatMap((herb) =>
    herb.amount ? [herbs.length === 1 && !wish.oil_amount ? `${herb.amount}` : `${herb.amount} of herb`] : [],
  )
  const jar = typeof wish.jar === 'string' ? jars.find((each) => each.id === wish.jar)?.called : undefined
  const finished = wish.finished?.count
    ? `${wish.finished.count} bottles of ${wish.finished.size}`
    : wish.finished?.amount
      ? `${wish.finished.amount} of finished oil`
      : undefined
  const amount = [
    ...weights,
    ...(wish.oil_amount ? [`${wish.oil_amount} of oil`] : []),
    ...(finished ? [finished] : []),
    ...(jar ? [`${wish.jars ? `${wish.jars} of ` : ''}the ${jar}`] : []),
  ]
  const state = [first?.state ?? 'dried', named(materials.forms, first?.form)?.replace(/, dried.*$/, '')]
  const ownHours = [wish.hours, wish.warmth && `at ${wish.warmth}`, wish.stands && `standing ${wish.stands}`]
    .filter(Boolean)
    .join(' ')
  const words: [string, string, boolean][] = [
    ['amount', amount.length > 0 ? capital(amount.join(' and ')) : 'As much as fits', amount.length > 0],
    ['herb', herbs.map((herb) => named(plants, herb.id) ?? herb.name ?? 'herb').join(' and '), true],
    ['purpose', named(materials.purposes, wish.purpose ?? 'skin') ?? 'the skin', Boolean(wish.purpose)],
    ['heed', heededOf(wish, materials), true],
    ['kept', wish.kept === 'fridge' ? 'to keep cold' : wish.kept === 'soured' ? 'soured first' : '', true],
    ['form', state.filter(Boolean).join(', '), Boolean(first?.state ?? first?.form)],
    ['ratio', wish.ratio ? `herb to oil ${wish.ratio}` : '', true],
    [
      'oils',
      oilsOf(wish)
        .map((oil) => named(materials.oils, oil.id) ?? oil.name ?? 'an oil')
        .join(' and '),
      true,
    ],
    ['spirit', wish.spirit === 'yes' ? 'moistened with spirit first' : '', true],
    ['method', method?.name ?? 'some way', Boolean(wish.method)],
    ['school', ownHours || (method?.schools.find((each) => each.id === wish.school)?.name ?? ''), true],
    [
      'way',
      [wish.way, { twice: 'strained twice', never: 'left on its sediment', once: '' }[wish.strained ?? 'once']]
        .filter(Boolean)
        .join(', '),
      true,
    ],
    [
      'when',
      wish.ready_by
        ? `ready by ${dayText(wish.ready_by)}`
        : (wish.start ?? wish.begun)
          ? `begun ${dayText(wish.start ?? wish.begun ?? '')}`
          : '',
      true,
    ],
  ]
  const before: Record<string, string> = { amount: '', herb: ' of ', purpose: ' oil for ', kept: ' ', oils: ', in ' }
  const pieces = words
    .filter(([, text]) => text !== '')
    .flatMap(([slot, text, chosen]) => [
      { slot: null, text: before[slot] ?? ', ', chosen: true },
      { slot, text, chosen },
    ])
  return { pieces: [...pieces, { slot: null, text: '.', chosen: true }], wrong: new Set(fields.map(slotOf)) }
}
