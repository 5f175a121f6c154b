import { drawLife } from '@hardy/bench-vehicle';
import { assumptionsWith } from '@hardy/core/trial';
import { vehicleKnown } from '../bench/docketOf.ts';
import type { Customer } from '../customer/customer.ts';
import { drawCustomer } from '../fair/drawCustomer.ts';

export const TODAY = '2026-11-25';
/** A customer of a level on a vehicle of any build, whose build is known. */
export const customerOf = (seed: number, level: number): Customer => {
  const customer = drawCustomer({
    seed,
    level,
    lives: drawLife,
    vehicleOf: ({ vehicle }) => vehicleKnown(vehicle, TODAY, true),
    vehicleWords: 'Merrowby minibus 2018',
    today: TODAY,
    prices: assumptionsWith(),
  });
  if (!customer) throw new Error(`seed ${seed} has no customer of level ${level}`);
  return customer;
};
