/** Who pays, as it is chosen; list price where nothing is. */
export const CUSTOMER_KINDS = [
  { value: 'garage', label: 'garage, trade price' },
  { value: 'fleet', label: 'fleet, trade price' },
  { value: 'self', label: 'fixes it themselves' },
] as const;
