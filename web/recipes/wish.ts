import { putOnBench, type Wish } from '../bench/wish'
import { type ProductWish, putOnMelt } from '../melt/wish'

/** What a recipe keeps: a wish for an oil, or for a product made of oils. */
export type AnyWish = Wish | ProductWish

export const isProduct = (wish: AnyWish): wish is ProductWish => 'product' in wish

/** Puts a wish where it is planned, and says which place that is. */
export function putThere(house: string, wish: AnyWish): 'bench' | 'melt' {
  if (isProduct(wish)) {
    putOnMelt(house, wish)
    return 'melt'
  }
  putOnBench(house, wish)
  return 'bench'
}
