/*
 * How long what is written may be, in characters: once, for dockets and for the catalogue, so that nothing comes into the
 * catalogue that cannot be put on an order.
 */
export const LONGEST = {
  partNumber: 60,
  brand: 80,
  description: 300,
  bin: 40,
  /** Why something goes along. */
  why: 300,
  vehicleId: 80,
  /** Make and model each; together they are a vehicle’s name. */
  vehicleWord: 90,
  vehicleName: 200,
  fleetNumber: 40,
  plate: 40,
  vin: 40,
  supplier: 40,
  module: 80,
  code: 60,
  codeText: 400,
  attribute: 60,
  note: 1000,
  customerName: 120,
  phone: 40,
} as const;

/** No price is higher, in hundredths of the currency. */
export const MOST_CENTS = 1e9;
/** Pieces in a line of an order. */
export const MOST_PIECES = 100;
/** Lines of an order to a supplier, over all dockets that wait for it. */
export const MOST_ORDER_LINES = 5000;
/** Pieces on a shelf. */
export const MOST_STOCK = 1_000_000;
