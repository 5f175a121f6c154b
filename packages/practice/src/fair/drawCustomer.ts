import { customerAt, type Customer, type CustomerOrder } from '../customer/customer.ts';
import { isFair } from './fullVisit.ts';

/** Lives looked at for one that fits the level and can be found out by asking and looking. */
const MOST_LIVES = 400;
const STEP = 7919;

/**
 * A customer of a level, by a seed. Only such are drawn as can be found out: everything one needs to decide could be learned by
 * asking or checking (`isFair`). Null where this vehicle has none among the lives that are looked at.
 */
export const drawCustomer = (order: CustomerOrder): Customer | null => {
  for (let i = 0; i < MOST_LIVES; i++) {
    const customer = customerAt(order, order.seed + i * STEP);
    if (customer.rules.fits(customer.life) && isFair(customer, order.today)) return customer;
  }
  return null;
};
